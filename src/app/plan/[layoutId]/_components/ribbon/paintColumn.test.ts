import { createCanvas } from '@napi-rs/canvas';
import { groundOf, paintColumn, paintPosts, type Paper, type RibbonColumn, type RibbonLook } from './paintColumn';
import { alongPx, HEAD_PX, isInSight, ribbonFrame, ROW_PX } from './ribbonFrame';

// Colours that tell the parts of the drawing apart; the letters are drawn in white, away from what is measured.
const LOOK: RibbonLook = {
  fontFamily: 'sans-serif',
  ink: '#ffffff',
  quiet: '#ffffff',
  accent: '#0000ff',
  arch: '#00ff00',
  chosenArch: '#ff0000',
  fits: ['#ffffff', '#ffffff', '#ffffff', '#ffffff', '#ffffff', '#ffffff', '#ffffff'],
};

const CHANNELS = { red: 0, green: 1, blue: 2 };

/** What is drawn of a colour in a row of pixels: the places of its ink. */
function inkOf(paint: (paper: Paper) => void, size: [number, number], yPx: number, colour: keyof typeof CHANNELS) {
  const canvas = createCanvas(...size);
  const context = canvas.getContext('2d');
  paint(context as unknown as Paper);
  const { data } = context.getImageData(0, Math.floor(yPx), size[0], 1);
  const others = Object.values(CHANNELS).filter(channel => channel !== CHANNELS[colour]);
  return Array.from({ length: size[0] }, (_, x) => x).filter(x => {
    const at = x * 4;
    return data[at + 3]! > 100 && data[at + CHANNELS[colour]]! > 200 && others.every(other => data[at + other]! < 60);
  });
}

// A leg of 18 m at 10 pixels a metre, in four strides of 3.6 m: landing 1.8 m behind the first fence, take-off 1.8 m before
// the second (common practice, no source: half a stride at either end).
const FEET = [18, 54, 90, 126, 162];
const row = (at: number, chosen: boolean) => ({ row: at, feetPx: FEET, chosen, words: 'easy four', step: 0 });
const COLUMN: RibbonColumn = { widthPx: 180, length: '18.00 m', rows: [row(0, true), row(1, false)] };

test('the arches of a horse come down where its feet do', () => {
  const paint = (paper: Paper) => paintColumn(paper, COLUMN, LOOK);
  // Just above the ground an arch is near its feet: the middle of every stride is clear.
  const chosen = inkOf(paint, [180, 110], groundOf(0) - 2, 'red');
  for (const footPx of FEET) expect(chosen.some(x => Math.abs(x - footPx) <= 3)).toBe(true);
  for (const middlePx of [36, 72, 108, 144]) expect(chosen.some(x => Math.abs(x - middlePx) <= 6)).toBe(false);
  // The other horse has the same feet in its own row and colour.
  const other = inkOf(paint, [180, 110], groundOf(1) - 2, 'green');
  for (const footPx of FEET) expect(other.some(x => Math.abs(x - footPx) <= 3)).toBe(true);
  expect(inkOf(paint, [180, 110], groundOf(1) - 2, 'red')).toEqual([]);
});

test('in the air an arch is higher than over a stride', () => {
  const paint = (paper: Paper) => paintColumn(paper, COLUMN, LOOK);
  // A curve rises half as high as the point that draws it: 8.5 pixels in the air, 5.5 over a stride.
  const high = inkOf(paint, [180, 110], groundOf(0) - 8, 'red');
  expect(high.some(x => Math.abs(x - 9) <= 4)).toBe(true);
  expect(high.some(x => Math.abs(x - 171) <= 4)).toBe(true);
  expect(high.filter(x => x > 20 && x < 160)).toEqual([]);
});

test('posts stand where their items lie along the track, over every row', () => {
  const frame = ribbonFrame(864, 3, 70);
  // 864 pixels less names (104) and two ends (30 each) are 700: 10 a metre.
  expect(frame.pxPerM).toBeCloseTo(10);
  const posts = [0, 18, 70].map(alongM => ({ xPx: alongPx(frame, alongM), name: 'heron' }));
  const paint = (paper: Paper) => paintPosts(paper, posts, frame.heightPx, LOOK);
  const ink = inkOf(paint, [864, Math.ceil(frame.heightPx)], HEAD_PX + ROW_PX, 'blue');
  for (const xPx of [134, 314, 834]) expect(ink.some(x => Math.abs(x - xPx) <= 1)).toBe(true);
  expect(ink.filter(x => [134, 314, 834].every(xPx => Math.abs(x - xPx) > 2))).toEqual([]);
});

test('posts that stand close are told by their order, and the others by name too', () => {
  const written: string[] = [];
  const noting = createCanvas(10, 10).getContext('2d') as unknown as Paper;
  // Letters of seven pixels: this canvas measures fonts of in-between weights wrongly.
  noting.measureText = words => ({ width: words.length * 7 }) as TextMetrics;
  noting.fillText = words => void written.push(words);
  const posts = [100, 112, 400].map(xPx => ({ xPx, name: 'willow' }));
  paintPosts(noting, posts, 80, LOOK);
  expect(written).toEqual(['1 willow', '2', '3 willow']);
});

test('only rows in sight are drawn', () => {
  const seen = (rolledPx: number) =>
    [0, 1, 2, 3, 4, 5, 6, 7].filter(one => isInSight(one, rolledPx, HEAD_PX + 3 * ROW_PX));
  expect(seen(0)).toEqual([0, 1, 2]);
  // Rolled by one row and a half: the head is gone, and the row that is cut is drawn.
  expect(seen(HEAD_PX + 1.5 * ROW_PX)).toEqual([1, 2, 3, 4, 5]);
});
