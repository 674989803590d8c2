/** The letters of English words lie in this range. */
const LATIN = /U\+0+(-|$|,)|U\+0-/i;

/**
 * The font of the page as a rule that carries it along, so that a picture looks the same elsewhere; empty where the page's font
 * cannot be read: then the reader's own letters stand in.
 */
export async function ownFont(family: string): Promise<string> {
  const name = family.split(',')[0]!.replace(/["']/g, '').trim();
  const rule = fontFaces().find(
    ({ style }) =>
      style.getPropertyValue('font-family').replace(/["']/g, '') === name &&
      !/italic/.test(style.getPropertyValue('font-style')) &&
      LATIN.test(style.getPropertyValue('unicode-range') || 'U+0'),
  );
  const source = /url\(["']?([^"')]+)/.exec(rule?.style.getPropertyValue('src') ?? '')?.[1];
  if (!rule || source === undefined) return '';
  try {
    const answer = await fetch(new URL(source, rule.parentStyleSheet?.href ?? location.href));
    if (!answer.ok) return '';
    return `@font-face{font-family:"${name}";font-weight:200 800;src:url(${await dataUrl(await answer.blob())})}`;
  } catch {
    return '';
  }
}

function fontFaces(): CSSFontFaceRule[] {
  return [...document.styleSheets].flatMap(sheet => {
    try {
      return [...sheet.cssRules].filter((rule): rule is CSSFontFaceRule => rule instanceof CSSFontFaceRule);
    } catch {
      // A sheet from elsewhere does not let itself be read.
      return [];
    }
  });
}

function dataUrl(blob: Blob): Promise<string> {
  return new Promise((resolve, reject) => {
    const reader = new FileReader();
    reader.onload = () => resolve(String(reader.result));
    reader.onerror = () => reject(new Error('a font that cannot be read'));
    reader.readAsDataURL(blob);
  });
}
