import { arenaForm, horseForm, kitForm, personForm, walkForm } from './yardForms';

const first = (result: { success: boolean; error?: { issues: { message: string }[] } }) =>
  result.success ? 'good' : result.error!.issues[0]!.message;

const HORSE = {
  ...{ name: 'Pepper', height: '15.3 hh', type: 'cob', bornYear: '', level: 'novice', stiffSide: 'neither', notes: '' },
  strides: {},
};
const strides = {
  'walk-poles': '',
  'trot-poles': '',
  'canter-poles': '',
  'course-canter': '',
  walk: '',
  trot: '',
  canter: '',
};

test('a horse: height in hands, and what is left empty is not known', () => {
  const read = horseForm('m').parse({ ...HORSE, strides });
  // 15.3 hands are 63 in.
  expect(read.height).toBeCloseTo(63 * 0.0254, 9);
  expect(read).toMatchObject({ bornYear: null, stiffSide: null, strides: { trot: null } });
});

test.each([
  ['bornYear', '1850', 'Type the year it was born'],
  ['bornYear', '12', 'Type the year it was born'],
  ['level', 'wild', 'Choose how much the horse has learned.'],
  ['notes', 'x'.repeat(2001), 'at most 2000'],
  ['name', '  ', 'Give the horse a name.'],
  ['name', 'Moth\u0007', 'A name is one line of plain text.'],
  ['name', '\u0001Moth', 'A name is one line of plain text.'],
  ['name', 'Mo\nth', 'A name is one line of plain text.'],
])('a horse with %s “%.12s” is refused', (field, value, words) => {
  expect(first(horseForm('m').safeParse({ ...HORSE, strides, [field]: value }))).toContain(words);
});

test('kit: poles and blocks have a size, the others none', () => {
  const form = kitForm('m');
  const kit = (changes: object) => ({ kind: 'pole', name: '', size: '3.5', count: '12', ...changes });
  expect(form.parse(kit({}))).toMatchObject({ sizeM: 3.5, count: 12 });
  expect(form.parse(kit({ kind: 'cone', size: 'whatever' }))).toMatchObject({ sizeM: null });
  expect(kitForm('ft').parse(kit({ size: '12' })).sizeM).toBeCloseTo(12 * 0.3048, 9);
  expect(first(form.safeParse(kit({ size: '' })))).not.toBe('good');
  expect(first(form.safeParse(kit({ size: '9 m' })))).toContain('A pole is');
  expect(first(form.safeParse(kit({ kind: 'block', size: '3 m' })))).toContain('A block is');
  for (const count of ['', '-1', '2.5', '1e3', '99999'])
    expect(first(form.safeParse(kit({ count })))).toContain('How many: a whole number');
});

test.each([
  ['20', 20],
  ['20.5', 20.5],
  ['20,5', 20.5],
  ['20½', 20.5],
  [' 22 ½ ', 22.5],
  ['3', 3],
  ['400', 400],
])('steps typed as “%s” are %d', (steps, count) => {
  expect(walkForm('m').parse({ length: '18 m', steps })).toEqual({ length: 18, steps: count });
});

test.each([
  ['20.3', '20 m', 'to the half'],
  ['two', '20 m', 'to the half'],
  ['2', '20 m', 'to the half'],
  ['2.5', '20 m', 'to the half'],
  ['400.5', '20 m', 'to the half'],
  ['20', '2 m', 'The taped length is 5.00 m to 200.00 m.'],
  ['20', 'far', ''],
])('a walk of “%s” steps over “%s” is refused', (steps, length, words) => {
  const said = first(walkForm('m').safeParse({ length, steps }));
  expect(said).not.toBe('good');
  expect(said).toContain(words);
});

test('an arena says what is round it; a person may have no step', () => {
  const arena = { name: 'Home', width: '20', length: '40', letters: '20x40', boundary: 'fence' };
  expect(arenaForm('m').parse(arena)).toMatchObject({ width: 20, length: 40, boundary: 'fence' });
  expect(first(arenaForm('m').safeParse({ ...arena, boundary: 'hedge' }))).toBe('Choose what is round it.');
  expect(first(arenaForm('m').safeParse({ ...arena, length: '41' }))).toContain('choose “none” for this size');
  expect(personForm('m').parse({ name: 'Lenna', role: 'rider', stepLength: '' }).stepLength).toBeNull();
});
