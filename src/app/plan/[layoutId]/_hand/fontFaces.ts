/** Letters that the page has, so that others can load them too. `source`: as in a style sheet, with whole addresses. */
export type FontFaceData = { family: string; source: string; weight: string; style: string; unicodeRange: string };

/** The faces of a family that the page's style sheets name. */
export function facesOf(family: string): FontFaceData[] {
  return [...document.styleSheets].flatMap(sheet =>
    [...sheet.cssRules].flatMap(rule => {
      if (!(rule instanceof CSSFontFaceRule)) return [];
      const value = (name: string) => rule.style.getPropertyValue(name);
      const named = unquoted(value('font-family'));
      if (!family.includes(named)) return [];
      const source = value('src').replace(
        /url\(["']?([^"')]+)["']?\)/g,
        (_whole, url: string) => `url("${new URL(url, sheet.href ?? document.baseURI).href}")`,
      );
      const [weight, style] = [value('font-weight') || 'normal', value('font-style') || 'normal'];
      return [{ family: named, source, weight, style, unicodeRange: value('unicode-range') || 'U+0-10FFFF' }];
    }),
  );
}

const unquoted = (name: string) => name.replace(/^["']|["']$/g, '');
