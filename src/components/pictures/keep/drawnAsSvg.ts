import { dressed } from './dressed';

/** Left and right, top and bottom of what is drawn, in pixels of the page. */
type Box = { left: number; top: number; right: number; bottom: number };

const SVG = 'http://www.w3.org/2000/svg';
const EDGE_PX = 12;

/**
 * A picture of the page as one drawing that stands by itself: every drawing in it at its place, the words between them, and
 * the boxes that have a ground of their own; all of it, also what one would scroll to.
 * @param box - what holds the picture
 * @param paper - the colour behind it
 */
export function drawnAsSvg(box: Element, title: string, paper: string): SVGSVGElement {
  const drawings = [...box.querySelectorAll('svg')].filter(svg => !svg.parentElement?.closest('svg') && isSeen(svg));
  const lines = wordsBetween(box);
  const grounds = groundsIn(box);
  const all = boundsOf([...drawings.map(svg => svg.getBoundingClientRect()), ...lines, ...grounds]);
  const [width, height] = [all.right - all.left + 2 * EDGE_PX, all.bottom - all.top + 2 * EDGE_PX];
  const svg = made('svg', { width, height, viewBox: `0 0 ${width} ${height}` });
  svg.setAttribute('xmlns', SVG);
  const named = made('title', {});
  named.textContent = title;
  svg.append(named, made('rect', { width, height, fill: paper }));
  const at = ({ left, top }: { left: number; top: number }) => ({
    x: left - all.left + EDGE_PX,
    y: top - all.top + EDGE_PX,
  });
  for (const { fill, stroke, ...rect } of grounds)
    svg.append(
      made('rect', { ...at(rect), width: rect.right - rect.left, height: rect.bottom - rect.top, fill, stroke }),
    );
  for (const drawing of drawings) {
    const rect = drawing.getBoundingClientRect();
    const copy = dressed(drawing);
    for (const [name, value] of Object.entries({ ...at(rect), width: rect.width, height: rect.height }))
      copy.setAttribute(name, String(value));
    svg.append(copy);
  }
  for (const { words, style, ...rect } of lines) {
    const text = made('text', {
      x: at(rect).x,
      // Letters stand about so far over the foot of their line.
      y: at({ ...rect, top: rect.bottom - (rect.bottom - rect.top) * 0.24 }).y,
      fill: style.color,
      'font-family': style.fontFamily,
      'font-size': style.fontSize,
      'font-weight': style.fontWeight,
    });
    text.textContent = words;
    svg.append(text);
  }
  return svg;
}

function made<Name extends 'svg' | 'rect' | 'text' | 'title'>(
  name: Name,
  attributes: Record<string, string | number>,
): SVGElementTagNameMap[Name] {
  const element = document.createElementNS(SVG, name);
  for (const [key, value] of Object.entries(attributes)) element.setAttribute(key, String(value));
  return element;
}

function isSeen(element: Element): boolean {
  const { width, height } = element.getBoundingClientRect();
  return width > 0 && height > 0 && getComputedStyle(element).visibility !== 'hidden';
}

function boundsOf(boxes: readonly Box[]): Box {
  if (boxes.length === 0) return { left: 0, top: 0, right: 0, bottom: 0 };
  return {
    left: Math.min(...boxes.map(({ left }) => left)),
    top: Math.min(...boxes.map(({ top }) => top)),
    right: Math.max(...boxes.map(({ right }) => right)),
    bottom: Math.max(...boxes.map(({ bottom }) => bottom)),
  };
}

type Line = Box & { words: string; style: CSSStyleDeclaration };

/** The words that stand outside of drawings, line by line as they were broken. */
function wordsBetween(box: Element): Line[] {
  const walker = document.createTreeWalker(box, NodeFilter.SHOW_TEXT);
  const lines: Line[] = [];
  for (let node = walker.nextNode(); node; node = walker.nextNode()) {
    const parent = node.parentElement;
    if (!parent || parent.closest('svg') || !isSeen(parent)) continue;
    const style = getComputedStyle(parent);
    let line: Line | null = null;
    for (const { 0: word, index } of (node.textContent ?? '').matchAll(/\S+/g)) {
      const range = document.createRange();
      range.setStart(node, index);
      range.setEnd(node, index + word.length);
      const { left, top, right, bottom, width } = range.getBoundingClientRect();
      if (width === 0) continue;
      if (line && Math.abs(line.top - top) < 1) Object.assign(line, { right, words: `${line.words} ${word}` });
      else lines.push((line = { left, top, right, bottom, words: word, style }));
    }
  }
  return lines;
}

const NO_COLOUR = /^(transparent|rgba\(0, 0, 0, 0\))$/;

/** Boxes with a ground or a border of their own. */
function groundsIn(box: Element): (Box & { fill: string; stroke: string })[] {
  return [...box.querySelectorAll('*')].flatMap(element => {
    if (element.closest('svg') || !isSeen(element)) return [];
    const { backgroundColor, borderTopStyle, borderBottomStyle, borderTopColor } = getComputedStyle(element);
    const fill = NO_COLOUR.test(backgroundColor) ? 'none' : backgroundColor;
    const stroke = borderTopStyle !== 'none' && borderBottomStyle !== 'none' ? borderTopColor : 'none';
    if (fill === 'none' && stroke === 'none') return [];
    const { left, top, right, bottom } = element.getBoundingClientRect();
    return [{ left, top, right, bottom, fill, stroke }];
  });
}
