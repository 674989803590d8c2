import { createCanvas } from '@napi-rs/canvas';
import {
  CHANCE_GAP_PX,
  groundOf,
  MARK_PX,
  paintColumn,
  paintPosts,
  type Paper,
  type RibbonColumn,
  type RibbonLook,
} from './paintColumn';
import { countName } from '@/core';
import {
  alongPx,
  contentPx,
  HEAD_PX,
  isInSight,
  LEAST_PX,
  legPx,
  QUIET_LEAST_PX,
  ribbonFrame,
  ROW_PX,
  stopsPx,
} from './ribbonFrame';

// Colours that tell the parts of the drawing apart; the letters are drawn in white, away from what is measured.
const LOOK: RibbonLook = {
  fontFamily: 'sans-serif',
  sheet: '#000000',
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
const row = (at: number, chosen: boolean) => ({
  row: at,
  feetPx: FEET,
  chosen,
  lines: [{ words: 'easy four', step: 0, chance: 0.9 }],
});
const COLUMN: RibbonColumn = { widthPx: 180, length: '18.00 m', isQuiet: false, rows: [row(0, true), row(1, false)] };

test('the arches of a horse come down where its feet do', () => {
  const paint = (paper: Paper) => paintColumn(paper, COLUMN, LOOK);
  // Just above the ground an arch is near its feet: the middle of every stride is clear.
  const chosen = inkOf(paint, [180, 150], groundOf(0) - 2, 'red');
  for (const footPx of FEET) expect(chosen.some(x => Math.abs(x - footPx) <= 3)).toBe(true);
  for (const middlePx of [36, 72, 108, 144]) expect(chosen.some(x => Math.abs(x - middlePx) <= 6)).toBe(false);
  // The other horse has the same feet in its own row and colour.
  const other = inkOf(paint, [180, 150], groundOf(1) - 2, 'green');
  for (const footPx of FEET) expect(other.some(x => Math.abs(x - footPx) <= 3)).toBe(true);
  expect(inkOf(paint, [180, 150], groundOf(1) - 2, 'red')).toEqual([]);
});

test('in the air an arch is higher than over a stride', () => {
  const paint = (paper: Paper) => paintColumn(paper, COLUMN, LOOK);
  // A curve rises half as high as the point that draws it: 8.5 pixels in the air, 5.5 over a stride.
  const high = inkOf(paint, [180, 150], groundOf(0) - 8, 'red');
  expect(high.some(x => Math.abs(x - 9) <= 4)).toBe(true);
  expect(high.some(x => Math.abs(x - 171) <= 4)).toBe(true);
  expect(high.filter(x => x > 20 && x < 160)).toEqual([]);
});

const legs = (...tracksM: number[]) => tracksM.map(trackM => ({ trackM, isQuiet: false }));

test('posts stand where their items lie along the track, over every row', () => {
  const frame = ribbonFrame(864, 3, legs(18, 52));
  // 864 pixels less names (104) and two ends (30 each) are 700: 10 a metre.
  expect(frame.pxPerM).toBeCloseTo(10);
  const posts = stopsPx(frame, [18, 52]).map((xPx, index) => ({ xPx, number: index + 1, name: 'heron' }));
  const paint = (paper: Paper) => paintPosts(paper, posts, frame.heightPx, LOOK);
  const ink = inkOf(paint, [864, Math.ceil(frame.heightPx)], HEAD_PX + ROW_PX, 'blue');
  for (const xPx of [134, 314, 834]) expect(ink.some(x => Math.abs(x - xPx) <= 1)).toBe(true);
  expect(ink.filter(x => [134, 314, 834].every(xPx => Math.abs(x - xPx) > 2))).toEqual([]);
});

test('no leg is narrower than what it says, and what is wider than the room is scrolled', () => {
  const mixed = [{ trackM: 3, isQuiet: true }, ...legs(6, 60)];
  const frame = ribbonFrame(864, 1, mixed);
  const widths = mixed.map(({ trackM }, leg) => legPx(frame, leg, trackM));
  expect(widths.slice(0, 2)).toEqual([QUIET_LEAST_PX, LEAST_PX]);
  // What the narrow ones leave is the long one's: 700 in all.
  expect(widths[2]).toBeCloseTo(700 - QUIET_LEAST_PX - LEAST_PX);
  expect(
    contentPx(
      frame,
      mixed.map(({ trackM }) => trackM),
    ),
  ).toBe(864);
  const many = legs(...Array.from({ length: 14 }, () => 20));
  const wide = ribbonFrame(864, 1, many);
  expect(
    contentPx(
      wide,
      many.map(({ trackM }) => trackM),
    ),
  ).toBe(104 + 60 + 14 * LEAST_PX);
});

test('a place along the track lies on its leg, in its share of it', () => {
  const tracksM = [3, 60];
  const frame = ribbonFrame(864, 1, [{ trackM: 3, isQuiet: true }, ...legs(60)]);
  expect(alongPx(frame, tracksM, 1.5)).toBeCloseTo(134 + QUIET_LEAST_PX / 2);
  expect(alongPx(frame, tracksM, 33)).toBeCloseTo(134 + QUIET_LEAST_PX + (700 - QUIET_LEAST_PX) / 2);
  expect(alongPx(frame, [], 5)).toBe(134);
});

test('whatever is called, each option has room on a line, with its mark and its chance', () => {
  const paper = createCanvas(10, 10).getContext('2d');
  paper.font = '12px sans-serif';
  const widthPx = (words: string) => paper.measureText(words).width;
  const counts = Array.from({ length: 13 }, (_, strides) => countName(strides, 'bounce'));
  const words = ['short', 'quiet', 'easy', 'forward', 'long', 'too tight', 'too far', 'between', 'and'];
  for (const before of ['', 'or ', 'else '])
    for (const word of words.slice(0, before === '' ? 9 : 5))
      for (const count of counts)
        expect(MARK_PX + widthPx(`${before}${word} ${count}`) + CHANCE_GAP_PX + widthPx('62 %')).toBeLessThan(
          LEAST_PX + 22,
        );
});

test('names are written as far as there is room for them, numbers always, and what helps has none', () => {
  const written: string[] = [];
  const noting = createCanvas(10, 10).getContext('2d') as unknown as Paper;
  // Letters of seven pixels: this canvas measures fonts of in-between weights wrongly.
  noting.measureText = words => ({ width: words.length * 7 }) as TextMetrics;
  noting.fillText = words => void written.push(words);
  const post = (xPx: number, number: number | null, name: string | null) => ({ xPx, number, name });
  paintPosts(noting, [post(100, 1, 'willow'), post(150, 2, 'willow'), post(400, 3, 'willow')], 80, LOOK);
  expect(written.splice(0)).toEqual(['1 wil…', '2 wil…', '3 willow']);
  paintPosts(noting, [post(100, null, null), post(180, 1, null), post(260, null, 'landing')], 80, LOOK);
  expect(written).toEqual(['1', 'landing']);
});

test('only rows in sight are drawn', () => {
  const seen = (rolledPx: number) =>
    [0, 1, 2, 3, 4, 5, 6, 7].filter(one => isInSight(one, rolledPx, HEAD_PX + 3 * ROW_PX));
  expect(seen(0)).toEqual([0, 1, 2]);
  // Rolled by one row and a half: the head is gone, and the row that is cut is drawn.
  expect(seen(HEAD_PX + 1.5 * ROW_PX)).toEqual([1, 2, 3, 4, 5]);
});
