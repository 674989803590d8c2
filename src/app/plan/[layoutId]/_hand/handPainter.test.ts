import { createCanvas, Path2D, type Canvas } from '@napi-rs/canvas';
import { LOOKS } from '@/components/Sand/looks';
import type { Look, Looks } from '@/components/Sand/paintShapes';
import { lockThings, type LayoutEdit } from '@/core';
import { ribbonFrame, alongPx } from '../_components/ribbon/ribbonFrame';
import { ARENA, LINE, MAYFLY } from '../_state/testShown';
import type { Hand } from './handState';
import { handPainter } from './handPainter';
import type { Shown } from '../_state/shown';
import type { PaintedOn, Said, SaidMade, SandScene, Told } from './told';

const LOOK: Look = {
  ...{ fill: null, stroke: '#ff0000', strokeM: 0.2, dash: [], cap: 'butt', join: 'miter', strokeFirst: false },
  ...{ font: ['normal 400', 'sans-serif'], anchor: 'middle' },
};

/** 10 pixels a metre: along, A is at the left. */
const SAND: SandScene = {
  ...{ orientation: 'along', box: { x: 0, y: 0, width: 60, height: 20 }, textM: 1, widthPx: 600, heightPx: 200 },
  ...{ chosenTrack: 'line', horse: MAYFLY.name, selection: { ids: [], leg: null }, marked: { items: [], leg: null } },
};

const FRAME = ribbonFrame(
  800,
  1,
  [18, 18].map(trackM => ({ trackM, isQuiet: false })),
);

const RIBBON = {
  ...{
    fontFamily: 'sans-serif',
    sheet: '#fff',
    ink: '#000',
    quiet: '#000',
    accent: '#00f',
    arch: '#000',
    chosenArch: '#000',
  },
  fits: Array.from({ length: 7 }, () => '#000'),
};

beforeAll(() => {
  (globalThis as Record<string, unknown>).Path2D = Path2D;
});

/** A painter that is told all but the plan, what it said, and its canvases; `rest` lets it paint. */
function painter() {
  const said: Said[] = [];
  const due: (() => void)[] = [];
  const [sand, ribbon] = [createCanvas(1, 1), createCanvas(1, 1)];
  const tell = handPainter({
    layOut: () => null,
    shelf: null,
    blank: () => createCanvas(1, 1) as unknown as PaintedOn,
    later: work => due.push(work),
    say: one => said.push(one),
  });
  const rest = () => due.splice(0).forEach(work => work());
  const looks = Object.fromEntries(LOOKS.map(name => [name, LOOK])) as Looks;
  const all: Told[] = [
    { kind: 'ground', unit: 'm', ground: { arena: ARENA, horses: [MAYFLY], fall: null, kit: null } },
    { kind: 'sand-looks', looks },
    { kind: 'ribbon-look', look: RIBBON },
    { kind: 'sand', scene: SAND },
    {
      kind: 'ribbon',
      scene: { trackId: 'line', frame: FRAME, chosen: null, rolledPx: 0, scrolledPx: 0, sharpness: 1 },
    },
    { kind: 'canvas', part: 'sand', canvas: sand as unknown as PaintedOn },
    { kind: 'canvas', part: 'ribbon', canvas: ribbon as unknown as PaintedOn },
    { kind: 'stand', number: 1, plan: LINE },
  ];
  all.forEach(tell);
  rest();
  return { tell, rest, said, due, sand, ribbon };
}

const dragged = (id: string, yM: number): Hand => ({
  ...{ kind: 'things', ids: [id], item: id, by: { xM: 0, yM }, free: true, reachM: 0.4, horse: null },
});

/** Beside the line up the middle, on the side where nothing is measured: only rails reach there. */
const RAIL_M = 11.2;

/** Whether there is ink at so many metres along the sand and across it. */
function inkAtM(canvas: Canvas, alongM: number, acrossM: number): boolean {
  if (canvas.width < 600) return false;
  const { data } = canvas.getContext('2d').getImageData(alongM * 10 - 2, acrossM * 10 - 2, 4, 4);
  return data.some((value, index) => index % 4 === 3 && value > 0);
}

/** Where posts stand on the ribbon, pixels from its left: blue from top to bottom. */
function postsPx(canvas: Canvas): number[] {
  const { data } = canvas.getContext('2d').getImageData(0, 45, canvas.width, 1);
  const blue = Array.from({ length: canvas.width }, (_, x) => x).filter(
    x => data[x * 4 + 2]! > 200 && data[x * 4]! < 50 && data[x * 4 + 3]! > 200,
  );
  return blue.filter((x, index) => blue[index - 1] !== x - 1);
}

test('at rest nothing lies on the sand’s canvas, and the ribbon has a post for every fence', () => {
  const { sand, ribbon, said } = painter();
  expect(sand.width).toBe(1);
  expect(said).toEqual([]);
  // A post is 2.5 pixels wide about its place.
  [0, 18, 36].forEach((alongM, index) =>
    expect(Math.abs(postsPx(ribbon)[index]! - alongPx(FRAME, [18, 18], alongM))).toBeLessThan(2),
  );
});

test('a hand has what it moves painted where it goes, its legs with it, and the names of those told', () => {
  const { tell, rest, said, sand, ribbon } = painter();
  tell({ kind: 'hand', hand: dragged('elm', -3), stand: 1 });
  rest();
  expect(said).toEqual([{ kind: 'moved', stand: 1, names: 'item elm\nleg 1 of line' }]);
  expect([inkAtM(sand, 38, RAIL_M), inkAtM(sand, 41, RAIL_M)]).toEqual([true, false]);
  expect(Math.abs(postsPx(ribbon)[2]! - alongPx(FRAME, [18, 15], 33))).toBeLessThan(2);
  tell({ kind: 'hand', hand: null, stand: 0 });
  rest();
  expect(sand.width).toBe(1);
  expect(Math.abs(postsPx(ribbon)[2]! - alongPx(FRAME, [18, 18], 36))).toBeLessThan(2);
});

test('the legs of what moved are painted, and those alone', () => {
  const { tell, rest, sand } = painter();
  const edits: LayoutEdit[] = [{ kind: 'move-item', item: 'elm', to: { xM: 10, yM: 44 } }];
  tell({ kind: 'hand', hand: { kind: 'edits', edits }, stand: 1 });
  rest();
  expect([inkAtM(sand, 30, 10), inkAtM(sand, 12, 10)]).toEqual([true, false]);
});

test('of moves that come faster than they are painted only the last is painted, and the same names are told once', () => {
  const { tell, rest, said, due, sand } = painter();
  for (const yM of [1, 2, 3]) tell({ kind: 'hand', hand: dragged('elm', yM), stand: 1 });
  expect(due).toHaveLength(1);
  rest();
  tell({ kind: 'hand', hand: dragged('elm', 4), stand: 1 });
  rest();
  expect(said).toHaveLength(1);
  expect([42, 43, 44, 45].map(alongM => inkAtM(sand, alongM, RAIL_M))).toEqual([false, false, false, true]);
  // Another hand is told of anew, though it moves the same.
  tell({ kind: 'hand', hand: null, stand: 0 });
  tell({ kind: 'hand', hand: dragged('elm', 4), stand: 1 });
  rest();
  expect(said).toHaveLength(2);
});

test('once what was made stands, its picture stays until the hand is known to have let go', () => {
  const { tell, rest, sand } = painter();
  tell({ kind: 'hand', hand: dragged('elm', 3), stand: 1 });
  rest();
  const items = LINE.items.map(item => (item.id === 'elm' ? { ...item, at: { xM: 10, yM: 44 } } : item));
  tell({ kind: 'stand', number: 2, plan: { ...LINE, items } as typeof LINE });
  rest();
  // Not 47 m: the hand moved what stood before.
  expect([inkAtM(sand, 44, RAIL_M), inkAtM(sand, 47, RAIL_M)]).toEqual([true, false]);
  tell({ kind: 'hand', hand: null, stand: 0 });
  rest();
  expect(sand.width).toBe(1);
});

test('a hand on what is locked moves nothing, and that is told', () => {
  const { tell, rest, said, sand } = painter();
  tell({ kind: 'stand', number: 2, plan: lockThings(LINE, ['elm'], true) });
  tell({ kind: 'hand', hand: dragged('elm', 3), stand: 2 });
  rest();
  expect(said).toEqual([{ kind: 'moved', stand: 2, names: '' }]);
  expect([inkAtM(sand, 44, RAIL_M), inkAtM(sand, 41, RAIL_M)]).toEqual([false, false]);
});

test('a canvas that is taken away is painted no more', () => {
  const { tell, rest, sand } = painter();
  tell({ kind: 'canvas', part: 'sand', canvas: null });
  tell({ kind: 'hand', hand: dragged('elm', 3), stand: 1 });
  rest();
  expect(sand.width).toBe(1);
});

test('what a hand made that lets go is said, is data, and is not reckoned again where it stands next', () => {
  const { tell, rest, said } = painter();
  const madeBy = (ticket: number) => {
    const made = said.find((one): one is SaidMade => one.kind === 'made' && one.ticket === ticket);
    return made!.shown!;
  };
  const first = LINE.items[0]!.id;
  tell({ kind: 'hand', hand: dragged(first, 1), stand: 1 });
  rest();
  tell({ kind: 'let-go', hand: dragged(first, 2), stand: 1, ticket: 7 });
  const made = madeBy(7);
  expect(made.plan.items[0]!.at.yM).toBeCloseTo(LINE.items[0]!.at.yM + 2, 9);
  // It goes to another thread and comes as it was.
  expect(structuredClone(made)).toEqual(made);
  tell({ kind: 'hand', hand: null, stand: 0 });
  tell({ kind: 'stand', number: 2, plan: structuredClone(made.plan) });
  rest();
  // Nothing is done: every leg is the very one that was reckoned in the drag.
  tell({ kind: 'let-go', hand: { kind: 'edits', edits: [] }, stand: 2, ticket: 8 });
  expect(madeBy(8).tracks).toEqual(made.tracks);
  const legsOf = ({ tracks }: Shown) => tracks.flatMap(track => (track.kind === 'items' ? track.legs : []));
  expect(legsOf(madeBy(8)).length).toBeGreaterThan(0);
  for (const [index, leg] of legsOf(madeBy(8)).entries()) expect(leg).toBe(legsOf(made)[index]);
  // Of a layout that stands no more nothing is made.
  tell({ kind: 'let-go', hand: dragged(first, 1), stand: 1, ticket: 9 });
  expect(said.at(-1)).toEqual({ kind: 'made', ticket: 9, shown: null });
});
