import { createCanvas, type Canvas } from '@napi-rs/canvas';
import fc from 'fast-check';
import { moveThings, type Plan } from '@/core';
import { HEAD_PX, ribbonFrame } from '../_components/ribbon/ribbonFrame';
import { LINE, MAYFLY, shows } from '../_state/testShown';
import type { Shown } from '../_state/shown';
import { ribbonPicture, type Ribbon } from './ribbonPicture';
import type { PaintedOn } from './told';

const LOOK: Ribbon['look'] = {
  ...{
    fontFamily: 'sans-serif',
    sheet: '#fff',
    ink: '#000',
    quiet: '#555',
    accent: '#a31',
    arch: '#999',
    chosenArch: '#222',
  },
  fits: ['#114', '#225', '#336', '#333', '#741', '#852', '#963'],
};
const format = (lengthM: number) => `${lengthM.toFixed(2)} m`;

const blank = () => createCanvas(1, 1) as unknown as PaintedOn;

type Wish = Partial<Pick<Ribbon, 'chosen' | 'rolledPx' | 'scrolledPx' | 'sharpness' | 'frame'>>;

/** Always the same: what is drawn for one frame is kept as long as it stays. */
const LEGS = [18, 18].map(trackM => ({ trackM, isQuiet: false }));
const FRAME = ribbonFrame(900, 1, LEGS);

const seen = (shown: Shown, wish: Wish = {}): Ribbon => ({
  ...{ trackId: 'line', chosen: null, rolledPx: 0, scrolledPx: 0, sharpness: 1, shown, look: LOOK, format },
  frame: FRAME,
  ...wish,
});

/** A canvas with what was painted on it one after the other. */
function painted(ribbons: readonly Ribbon[]): Canvas {
  const canvas = createCanvas(1, 1);
  const picture = ribbonPicture(blank);
  ribbons.forEach(ribbon => picture.paint(canvas as unknown as PaintedOn, ribbon));
  return canvas;
}

/** How many pixels of two canvases differ to the eye: what is all but transparent has no colour to speak of. */
function different(a: Canvas, b: Canvas): number {
  expect([a.width, a.height]).toEqual([b.width, b.height]);
  const [one, other] = [a, b].map(inkOf);
  return one!.filter((ink, at) => Math.abs(ink - other![at]!) > 48).length;
}

/** How dark every pixel is on white, 0 to 255, below the names: half-bold letters come out as they like in this canvas. */
function inkOf(canvas: Canvas): number[] {
  const { data } = canvas.getContext('2d').getImageData(0, HEAD_PX, canvas.width, canvas.height - HEAD_PX);
  return Array.from({ length: data.length / 4 }, (_, pixel) => {
    const [red, green, blue, alpha] = data.subarray(pixel * 4, pixel * 4 + 4) as unknown as [
      number,
      number,
      number,
      number,
    ];
    return (255 - (red + green + blue) / 3) * (alpha / 255);
  });
}

const moved = (plan: Plan, id: string, yM: number) => moveThings(plan, [id], { xM: 0, yM });

test('whatever a hand did before, the ribbon looks as if it were painted for the first time', () => {
  const move = fc.tuple(fc.constantFrom('ash', 'birch', 'elm'), fc.integer({ min: -30, max: 30 }));
  fc.assert(
    fc.property(fc.array(move, { minLength: 1, maxLength: 6 }), moves => {
      const show = shows();
      // Each move is one of what stood, as in a drag; the last stands.
      const all = [LINE, ...moves.map(([id, dm]) => moved(LINE, id, dm / 10))].map(plan => seen(show(plan)));
      expect(different(painted(all), painted(all.slice(-1)))).toBe(0);
    }),
    { numRuns: 25 },
  );
});

test('another horse, another width, further rows and a sharper screen are painted anew', () => {
  const shown = shows()(LINE);
  const wishes: Wish[] = [
    { chosen: MAYFLY.id },
    { frame: ribbonFrame(700, 1, LEGS) },
    { frame: ribbonFrame(900, 12, LEGS), rolledPx: 90 },
    { sharpness: 2 },
    // Narrower than what the legs say: it is scrolled to their end.
    { frame: ribbonFrame(320, 1, LEGS), scrolledPx: 100 },
  ];
  for (const wish of wishes) {
    const after = painted([seen(shown), seen(shown, wish)]);
    expect(different(after, painted([seen(shown, wish)]))).toBe(0);
  }
  expect(different(painted([seen(shown)]), painted([seen(shown, { chosen: MAYFLY.id })]))).toBeGreaterThan(50);
});

test('as many pixels as the screen has: twice as sharp is twice as wide', () => {
  const shown = shows()(LINE);
  expect(painted([seen(shown)]).width).toBe(900);
  expect(painted([seen(shown, { sharpness: 2 })]).width).toBe(1800);
});

test('a track that is not there, or has no room yet, is not painted', () => {
  const shown = shows()(LINE);
  expect(painted([{ ...seen(shown), trackId: 'gone' }]).width).toBe(1);
  expect(painted([seen(shown, { frame: ribbonFrame(0, 1, LEGS) })]).width).toBe(1);
});

test('once it forgot, everything is drawn again, in whatever letters there are then', () => {
  const shown = shows()(LINE);
  const canvas = createCanvas(1, 1);
  let drawn = 0;
  const picture = ribbonPicture(() => {
    drawn += 1;
    return blank();
  });
  const paint = (plan: Plan) =>
    picture.paint(canvas as unknown as PaintedOn, seen(plan === LINE ? shown : shows()(plan)));
  paint(LINE);
  canvas.getContext('2d').clearRect(0, 0, 900, 100);
  paint(LINE);
  // Nothing changed, so nothing was painted: the canvas stays as somebody left it.
  expect(different(canvas, painted([seen(shown)]))).toBeGreaterThan(50);
  picture.forget();
  paint(LINE);
  expect(different(canvas, painted([seen(shown)]))).toBe(0);
  // A leg that is changed by every move needs no picture of its own.
  expect(drawn).toBe(0);
});
