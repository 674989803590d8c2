import type { TextShape } from '@/components/Sand/shape';

/** About how wide a letter is, and how high a line, as shares of the size. */
const LETTER_SHARE = 0.5;
const LINE_SHARE = 1.1;

/** How far words give way, in lines: first the least. */
const WAYS = [0, -1, 1, -2, 2, -3, 3];

/** Words give way to those that are written already, and to each other in their order: up or down, as little as they can. */
export function apart(taken: readonly TextShape[], texts: readonly TextShape[]): TextShape[] {
  const written = taken.map(boxOf);
  return texts.map(text => {
    const places = WAYS.map(lines => ({ ...text, y: text.y + lines * text.sizeM * LINE_SHARE }));
    const free = places.find(place => !written.some(box => overlap(box, boxOf(place)))) ?? text;
    written.push(boxOf(free));
    return free;
  });
}

type Box = { x: number; y: number; halfWidth: number; halfHeight: number };

function boxOf({ x, y, sizeM, runs }: TextShape): Box {
  const letters = runs.reduce((sum, { words }) => sum + words.length, 0);
  return { x, y, halfWidth: (letters * LETTER_SHARE * sizeM) / 2, halfHeight: (sizeM * LINE_SHARE) / 2 };
}

const overlap = (a: Box, b: Box) =>
  Math.abs(a.x - b.x) < a.halfWidth + b.halfWidth && Math.abs(a.y - b.y) < a.halfHeight + b.halfHeight - 1e-9;
