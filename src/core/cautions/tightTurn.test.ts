import type { Figure } from '../figures/figure';
import { DEFAULT_LEG, type FigureTrack, type Layout, type LayoutHorse } from '../layout/layout';
import { applyEdits } from '../layout/layoutEdit';
import { reckonLayout } from '../layout/reckonLayout';
import { newItem } from '../plan/newItem';
import { layoutCautions } from './layoutCautions';
import { offerMend } from './offerMend';

// Common practice, no source: a green horse carries a canter turn of 8 m radius, an advanced one of 3 m.
const GREEN_M = 8;
const horse = (name: string, level: LayoutHorse['level']): LayoutHorse => ({
  ...{ id: name, name, heightM: 1.6, type: 'all-round', level, strides: {} },
});
const GREEN = horse('Mayfly', 'green');
const ADVANCED = horse('Juniper', 'advanced');

const at = (xM: number, yM: number, headingRad = Math.PI / 2) => ({ at: { xM, yM }, headingRad });

function session(figure: Figure, changes: Partial<FigureTrack> = {}, horses = [GREEN]): Layout {
  const track: FigureTrack = {
    ...{ kind: 'figures', id: 'flat', name: null, gait: 'canter', passes: 1 },
    figures: [{ id: 'f1', name: null, figure, gait: null, parts: [] }],
    ...changes,
  };
  return {
    ...{ name: 'flat', arena: { widthM: 40, lengthM: 80, letters: 'none' }, fall: null, school: 'whole-stride' },
    ...{ items: [], horses, kit: null, tracks: [track] },
  };
}

const tightOf = (layout: Layout) =>
  layoutCautions(layout, reckonLayout(layout)).filter(({ code }) => code === 'tight-turn');

/** Each with a turn of 6 m radius, and where room is left for one of 8. */
const FIGURES: Figure[] = [
  { kind: 'circle', start: at(20, 30), rein: 'left', diameterM: 12, rounds: 2 },
  { kind: 'spiral', start: at(30, 40), rein: 'left', diametersM: [20, 16, 12], school: 'bend', times: 1 },
  { kind: 'eight', start: at(20, 40), rein: 'right', firstDiameterM: 12, secondDiameterM: 18, times: 1 },
  { kind: 'half-circle-return', start: at(38, 30), rein: 'left', diameterM: 12, returnM: 20, lineFirst: false },
  { kind: 'change-rein', start: at(2, 10), end: at(38, 70), rein: 'right', radiusM: 6 },
  { kind: 'round-arena', start: at(38, 40), rein: 'left', cornerRadiusM: 6, rounds: 1 },
];

test.each(FIGURES)('a $kind that is too tight for a green horse is mended to what it carries', figure => {
  const layout = session(figure);
  const [caution, ...more] = tightOf(layout);
  expect(more).toEqual([]);
  expect(caution).toMatchObject({ level: 'warn', place: { track: 'flat', part: null } });
  expect(caution!.text).toContain('6.0 m');
  expect(caution!.text).toContain('8.0 m is about what Mayfly carries');
  const edits = offerMend(layout, caution!);
  expect(edits).not.toBeNull();
  const mended = applyEdits(layout, edits!);
  expect(tightOf(mended)).toEqual([]);
  // No wider than it has to be: what was wide enough stays.
  const [track] = mended.tracks as FigureTrack[];
  const before = numbersOf(figure);
  numbersOf(track!.figures[0]!.figure).forEach((value, index) => {
    expect(value).toBeGreaterThanOrEqual(before[index]!);
    if (value !== before[index]) expect([GREEN_M, 2 * GREEN_M]).toContain(value);
  });
});

/** The widths of a figure, in the order they are planned. */
function numbersOf(figure: Figure): number[] {
  switch (figure.kind) {
    case 'circle':
      return [figure.diameterM];
    case 'spiral':
      return figure.diametersM;
    case 'eight':
      return [figure.firstDiameterM, figure.secondDiameterM];
    case 'half-circle-return':
      return [figure.diameterM];
    case 'change-rein':
      return [figure.radiusM];
    case 'round-arena':
      return [figure.cornerRadiusM];
    default:
      throw new RangeError(figure.kind);
  }
}

test('the same figures are no matter for an advanced horse, in trot, or in walk', () => {
  for (const figure of FIGURES) {
    expect(tightOf(session(figure, {}, [ADVANCED]))).toEqual([]);
    expect(tightOf(session(figure, { gait: 'trot' }))).toEqual([]);
    expect(tightOf(session(figure, { gait: 'walk' }))).toEqual([]);
  }
});

test('of a group the horse that carries least sets it; without horses a novice does', () => {
  const volte = (diameterM: number): Figure => ({ ...FIGURES[0]!, diameterM }) as Figure;
  expect(tightOf(session(volte(15.9), {}, [ADVANCED, GREEN]))[0]?.text).toContain('Mayfly');
  // Common practice, no source: a novice carries 5 m in canter.
  expect(tightOf(session(volte(9.9), {}, []))).toHaveLength(1);
  expect(tightOf(session(volte(10), {}, []))).toEqual([]);
});

test('a serpentine has as many loops as leave each turn its radius', () => {
  const serpentine: Figure = {
    ...{ kind: 'serpentine', start: at(20, 0, 0), rein: 'left', loops: 6, lengthM: 60, widthM: 40 },
  };
  const layout = session(serpentine);
  // Six loops in 60 m turn at 5 m.
  expect(tightOf(layout)[0]?.text).toContain('5.0 m');
  const mended = applyEdits(layout, offerMend(layout, tightOf(layout)[0]!)!);
  const [track] = mended.tracks as FigureTrack[];
  // Three loops of 20 m turn at 10 m; four would turn at 7.5.
  expect(track!.figures[0]!.figure).toMatchObject({ kind: 'serpentine', loops: 3 });
  expect(tightOf(mended)).toEqual([]);
});

test('a circle back to the same fence is ridden larger, and the leg is told', () => {
  const items = [newItem('vertical', 'ash', { xM: 20, yM: 40 }, Math.PI / 2)];
  const leg = { ...DEFAULT_LEG, circle: { rein: 'left' as const, radiusM: 6 } };
  const layout: Layout = {
    ...session(FIGURES[0]!),
    items,
    tracks: [
      {
        ...{ kind: 'items', id: 'line', name: null, gait: 'canter', course: null, passes: 1, legs: [leg] },
        through: ['ash', 'ash'].map(item => ({ item, reversed: false })),
      },
    ],
  };
  const caution = layoutCautions(layout, reckonLayout(layout)).find(({ code }) => code === 'cannot-be-ridden');
  expect(caution).toMatchObject({ items: ['ash', 'ash'], place: { track: 'line', part: 0 } });
  expect(offerMend(layout, caution!)).toEqual([
    { kind: 'change-leg', track: 'line', leg: 0, changes: { circle: { ...leg.circle, radiusM: GREEN_M } } },
  ]);
});
