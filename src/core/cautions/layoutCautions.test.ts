import type { Item } from '../items/item';
import { DEFAULT_LEG, type Layout } from '../layout/layout';
import { applyEdits } from '../layout/layoutEdit';
import { reckonLayout } from '../layout/reckonLayout';
import { newItem } from '../plan/newItem';
import { USUAL_WORK_LIMITS, type WorkLimits } from '../work/workCounts';
import { USUAL_LIMITS, type CautionLimits } from './cautionLimits';
import { CAUTION_RULES, layoutCautions } from './layoutCautions';
import { offerMend } from './offerMend';
import { withDayLimits } from './plannedWork';
import { CAUTION_CASES, fence, line, pair, pole, S } from './testCases';

const codesOf = (layout: Layout) => layoutCautions(layout, reckonLayout(layout)).map(({ code }) => code);

test.each(CAUTION_CASES)('$code, $name: raised, and its nearest neighbour is quiet', ({ code, raises, quiet }) => {
  expect(codesOf(raises)).toContain(code);
  expect(codesOf(quiet)).not.toContain(code);
});

test.each(CAUTION_CASES)(
  '$code, $name: the mend, once applied, silences it and raises nothing worse',
  ({ code, raises }) => {
    const before = layoutCautions(raises, reckonLayout(raises));
    const caution = before.find(found => found.code === code)!;
    const edits = offerMend(raises, caution);
    expect(edits).not.toBeNull();
    const mended = applyEdits(raises, edits!);
    const after = layoutCautions(mended, reckonLayout(mended));
    expect(after.filter(found => found.code === code && found.text === caution.text)).toEqual([]);
    const serious = (list: typeof before) => list.filter(({ level }) => level !== 'note').length;
    expect(serious(after)).toBeLessThan(serious(before) + (caution.level === 'note' ? 1 : 0));
  },
);

test('every code that is promised has a rule and a case', () => {
  const promised = [
    ...['too-tight', 'too-far', 'between', 'uneven-row', 'combination-length', 'wall-near', 'run-up-short'],
    ...['landing-short', 'not-straight', 'tight-turn', 'against-slope', 'off-arena', 'overlap', 'one-way-from-behind'],
    ...['false-ground-line', 'placing-pole', 'too-many-efforts', 'small-circle-long', 'leg-yield-steep', 'kit-short'],
    ...['no-natural-track', 'cannot-be-ridden', 'in-the-line', 'in-the-landing', 'beside-the-line'],
    ...['landing-pole-near', 'ground-line-far', 'thing-near', 'gait-poles'],
  ].sort();
  expect(CAUTION_RULES.map(({ code }) => code).sort()).toEqual(promised);
  expect([...new Set(CAUTION_CASES.map(({ code }) => code))].sort()).toEqual(promised);
});

test('each says what, where and what would mend it, in a sentence', () => {
  for (const { raises } of CAUTION_CASES)
    for (const { text, mend } of layoutCautions(raises, reckonLayout(raises)))
      for (const sentence of [text, mend]) expect(sentence).toMatch(/^\S.*\.$/);
});

test('the worst is told first', () => {
  const layout = pair(5 * S * 1.13, { leg: { asked: 4 }, changes: { passes: 40 } });
  const levels = layoutCautions(layout, reckonLayout(layout)).map(({ level }) => level);
  expect(levels).toEqual([...levels].sort((a, b) => 'stop warn note'.indexOf(a) - 'stop warn note'.indexOf(b)));
  expect(levels.length).toBeGreaterThan(1);
});

test('a landing pole at 3 m is not judged', () => {
  // Common practice, no source: about 3 m behind a fence, to make the first stride go forward.
  const layout = line([fence('alder', 20, 30), pole('land', 20, 33)], { leg: { setting: 'grid' } });
  expect(codesOf(layout)).toEqual([]);
});

test('guides leaning on a fence, and blocks under a pole, lie there on purpose', () => {
  const layout = line([
    fence('alder', 20, 30),
    { kind: 'guide', id: 'v', name: null, at: { xM: 19, yM: 29 }, headingRad: 1.2, lengthM: 3 },
    pole('p', 20, 40),
    { kind: 'block', id: 'b', name: null, at: { xM: 18.5, yM: 40 }, heightM: 0.15 },
  ]);
  expect(codesOf(layout)).not.toContain('overlap');
});

test('two thousand things are looked over', () => {
  const items: Item[] = Array.from({ length: 2000 }, (_, i) => ({
    kind: 'cone',
    id: `c${i}`,
    name: null,
    at: { xM: (i % 50) * 0.75 + 1, yM: Math.floor(i / 50) + 5 },
  }));
  expect(codesOf(line(items, { layout: { tracks: [] } }))).toEqual([]);
});

describe('what a horse may do in a day, by the yard’s own limits', () => {
  const own = (changes: Partial<WorkLimits>) => withDayLimits(USUAL_LIMITS, { ...USUAL_WORK_LIMITS, ...changes });
  const said = (layout: Layout, limits: CautionLimits) =>
    layoutCautions(layout, reckonLayout(layout), limits).filter(({ code }) => code === 'too-many-efforts');

  test('a yard that allows twenty low efforts hears of twenty', () => {
    const layout = pair(5 * S, { changes: { passes: 10 } });
    expect(said(layout, USUAL_LIMITS)).toEqual([]);
    const [caution] = said(layout, own({ lowEfforts: 20 }));
    expect(caution!.text).toContain('20 jumping efforts are planned for each horse; 20 low ones or 30 from 0.9 m');
    const mend = offerMend(layout, caution!, own({ lowEfforts: 20 }));
    expect(mend).toEqual([{ kind: 'set-passes', track: expect.any(String) as string, passes: 9 }]);
  });

  test('passes over raised poles count, low ones lying on the ground do not', () => {
    const poles = [0, 1, 2].map(index =>
      newItem('raised pole', `p${index}`, { xM: 10, yM: 20 + index * 1.3 }, Math.PI / 2),
    );
    const layout: Layout = {
      ...pair(5 * S),
      items: poles,
      tracks: [
        {
          ...{ kind: 'items', id: 'row', name: null, gait: 'trot', course: null, passes: 10 },
          through: poles.map(({ id: item }) => ({ item, reversed: false })),
          legs: [0, 1].map(() => ({ ...DEFAULT_LEG, setting: 'poles' as const })),
        },
      ],
    };
    expect(said(layout, USUAL_LIMITS).map(({ text }) => text)).toEqual([
      '10 passes over raised poles are planned for each horse; 10 are enough for a day.',
    ]);
    expect(said(layout, own({ raisedPasses: 11 }))).toEqual([]);
    const flat = { ...layout, items: poles.map(pole => ({ ...pole, raised: { leftM: 0, rightM: 0 } })) };
    expect(said(flat as Layout, USUAL_LIMITS)).toEqual([]);
  });
});

test.each(CAUTION_CASES)('$code, $name: no length is said to be other than itself', ({ code, raises }) => {
  const told = layoutCautions(raises, reckonLayout(raises)).filter(one => one.code === code);
  for (const { text } of told) expect(text).not.toMatch(/([\d.]+ m)\b.*; (about )?\1 (is|are|and)\b/);
});

describe('kit', () => {
  const alder = fence('alder', 20, 30);
  const missing = (kit: Layout['kit']) => codesOf(line([alder], { layout: { kit } })).includes('kit-short');

  test('a kind that was never counted is unknown, and not none', () => {
    expect(missing({ cones: 4 })).toBe(false);
    expect(missing({ cones: 4, poles: 0 })).toBe(true);
    expect(missing({})).toBe(false);
  });

  test('a mend never takes away what is ridden', () => {
    const layout = line([alder, pole('p', 20, 40)], { layout: { kit: { poles: 0 } } });
    const caution = layoutCautions(layout, reckonLayout(layout)).find(({ code }) => code === 'kit-short')!;
    expect(offerMend(layout, caution)).toBeNull();
  });
});
