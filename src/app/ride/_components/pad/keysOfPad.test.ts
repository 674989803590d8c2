import type { PadStep, TrackGait } from '@/core';
import { gaitsAbout, isSaid, padKeys } from './keysOfPad';
import { marksAtStep } from './marksAtStep';

const AT = { xM: 0, yM: 0 };
const stop = (kind: 'fence' | 'pole', place = 1): PadStep => ({
  ...{ kind, place, item: 'i', label: '1', words: `${kind} ${place}`, at: AT, lies: true },
});
const names = (kind: PadStep['kind'], step: PadStep | null, gait: TrackGait, counted = false, stops = 5) =>
  padKeys(kind, step, { gait, stops, counted, figures: 1 })
    .flat()
    .map(({ name }) => name);

// Common practice, no source: a horse lands on a lead in canter only; a rail that lies does not come down.
test('leads are offered in canter only, and no rail comes down of a pole', () => {
  expect(names('fence', stop('fence'), 'course-canter', true)).toEqual(
    expect.arrayContaining(['rub', 'down', 'refusal', 'run-out left', 'run-out right', 'left lead', 'right lead']),
  );
  expect(names('fence', stop('fence'), 'trot', true)).not.toContain('left lead');
  expect(names('pole', stop('pole'), 'trot')).toEqual(['a third', 'middle', 'three quarters', 'hit', 'broke gait']);
  expect(names('pole', stop('pole'), 'canter', true)).not.toContain('down');
  // A landing pole of a grid.
  expect(names('pole', stop('pole'), 'course-canter', true)).not.toContain('refusal');
});

test('a lead is right or wrong only where it goes into canter', () => {
  const change = (to: TrackGait): PadStep => ({
    ...{ kind: 'transition', place: 1, from: 'walk', to, alongM: 0, label: '1', words: '', at: AT },
  });
  expect(names('transition', change('canter'), 'walk')).toContain('wrong lead');
  expect(names('transition', change('trot'), 'walk')).not.toContain('wrong lead');
});

test('a gaited row offers its own gait first, and those it slips into', () => {
  const [first, ...others] = names('pole', null, 'running-walk');
  expect(first).toBe('running walk');
  expect(others).toEqual(expect.arrayContaining(['pace', 'trot', 'fox trot', 'hit']));
});

test('a gaited horse slips in any gait: in canter over poles its gaits stand beside the leads', () => {
  const over = { gait: 'canter', stops: 4, counted: false, figures: 0 } as const;
  const named = (isGaited: boolean) =>
    padKeys('pole', null, { ...over, isGaited }).map(row => row.map(({ name }) => name));
  expect(named(true)).toEqual([
    ['canter', 'pace', 'trot', 'running walk', 'fox trot'],
    ['hit', 'left lead', 'right lead', 'cross-canter'],
  ]);
  expect(named(false).flat()).not.toContain('pace');
  expect(gaitsAbout('canter')).toEqual(['walk', 'trot', 'canter']);
  expect(gaitsAbout('canter', true)).toContain('pace');
});

test('every key has a letter of its own', () => {
  for (const [kind, gait] of [
    ['fence', 'course-canter'],
    ['pole', 'trot'],
    ['pole', 'pace'],
    ['pole', 'canter'],
    ['figure', 'trot'],
    ['figure', 'running-walk'],
    ['transition', 'running-walk'],
  ] as const) {
    const letters = padKeys(kind, null, {
      gait,
      stops: 4,
      counted: kind === 'fence',
      figures: 2,
      isGaited: kind === 'pole',
    })
      .flat()
      .map(({ letter }) => letter);
    expect(new Set(letters).size).toBe(letters.length);
  }
});

test('a bend that is lost in a loop is said of that loop', () => {
  const loop = (part: number): PadStep => ({
    ...{ kind: 'figure', place: 1, part, chain: null, label: String(part), words: 'loop', at: AT, aside: null },
    ...{ alongM: 0, gait: 'trot' },
  });
  const [, bend] = padKeys('figure', loop(2), { gait: 'trot', stops: 3, counted: false, figures: 1 })[0]!;
  const said = bend!.of(loop(2));
  expect(said).toEqual({ kind: 'figure', place: 1, part: 2, point: 'bend', kept: false });
  const marks = [{ id: 'm', ...said } as Parameters<typeof isSaid>[0][number]];
  expect(isSaid(marks, said)).toBe(true);
  expect(isSaid(marks, bend!.of(loop(3)))).toBe(false);
  expect(marksAtStep(marks, loop(2))).toBe('bend lost');
  expect(marksAtStep(marks, loop(3))).toBe('');
});

test('where the horse goes sideways it is said which hand or leg it slipped from, and where on the sand', () => {
  const aside = { xM: 12, yM: 30 };
  const line: PadStep = {
    ...{ kind: 'figure', place: 2, part: null, chain: null, label: '2', words: 'leg-yield', at: AT },
    ...{ aside, alongM: 0, gait: 'trot' },
  };
  const rows = padKeys('figure', line, { gait: 'trot', stops: 3, counted: false, figures: 3 });
  const rightLeg = rows[0]!.find(({ name }) => name === 'off right leg')!;
  expect(rightLeg.of(line)).toEqual({ kind: 'slip', place: 2, from: 'right leg', at: aside });
  expect(marksAtStep([{ id: 'm', ...rightLeg.of(line) } as Parameters<typeof isSaid>[0][number]], line)).toBe(
    'off right leg',
  );
  // On one track nothing slips aside; quality is said of the whole either way.
  const straight = { ...line, aside: null };
  const names2 = padKeys('figure', straight, { gait: 'trot', stops: 3, counted: false, figures: 3 }).flat();
  expect(names2.some(({ name }) => name.startsWith('off '))).toBe(false);
  expect(names2.filter(({ short }) => short).map(({ short }) => short)).toEqual(['1', '2', '3', '4', '5']);
});

test('one figure alone may be spoken of as a whole; of several one is chosen first', () => {
  const points = (figures: number) =>
    padKeys('figure', null, { gait: 'trot', stops: 3, counted: false, figures })[0]!.slice(0, 3);
  expect(points(1).every(({ needsStep }) => !needsStep)).toBe(true);
  expect(points(2).every(({ needsStep }) => needsStep)).toBe(true);
  expect(points(1)[1]!.of(null)).toEqual({ kind: 'figure', place: 1, point: 'bend', kept: false });
});

test('what was said of a stop is read on its key', () => {
  const marks = [
    { id: 'a', kind: 'fence', place: 2, outcome: 'rub' },
    { id: 'b', kind: 'lead', place: 2, lead: 'right' },
    { id: 'c', kind: 'hit', place: 1 },
  ] as Parameters<typeof marksAtStep>[0];
  expect(marksAtStep(marks, stop('fence', 2))).toBe('rub, right lead');
});

test('on the flat a gaited horse’s gait is said of the stretch that begins there, against what was asked of it', () => {
  const change: PadStep = {
    ...{ kind: 'transition', place: 2, from: 'flat-walk', to: 'running-walk', alongM: 20 },
    ...{ label: '2', words: '', at: AT },
  };
  const [, gaits] = padKeys('transition', change, { gait: 'running-walk', stops: 3, counted: false, figures: 1 });
  expect(gaits!.map(({ name }) => name)).toEqual(['running walk', 'pace', 'trot', 'fox trot']);
  const said = gaits![1]!.of(change);
  expect(said).toEqual({ kind: 'gait', ridden: 'pace', fromM: 20, asked: 'running-walk' });
  expect(marksAtStep([{ id: 'm', ...said } as Parameters<typeof isSaid>[0][number]], change)).toBe('pace');
  // Nobody who rides in plain gaits is asked for it.
  const plain: PadStep = { ...change, from: 'walk', to: 'trot' };
  expect(padKeys('transition', plain, { gait: 'walk', stops: 3, counted: false, figures: 1 })[1]).toEqual([]);
});
