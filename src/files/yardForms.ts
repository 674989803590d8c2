import {
  arenaFault,
  formatLength,
  HORSE_LEVELS,
  HORSE_TYPES,
  MAX_ARENA_SIDE_M,
  MAX_POLE_LENGTH_M,
  MIN_ARENA_SIDE_M,
  MIN_POLE_LENGTH_M,
  USUAL_STRIDE,
  type LengthUnit,
  type StrideEntryKey,
  type UsualLength,
} from '@/core';
import { z } from 'zod';
import { heightText } from './heightText';
import { lengthText } from './lengthText';

/** The forms of the yard, parsed alike in the page and on the server. All fields are what people typed. */

const name = (what: string) =>
  z
    .string()
    .trim()
    .min(1, `Give ${what} a name.`)
    .max(60, 'A name has at most 60 letters.')
    .regex(/^[^\u0000-\u001f]*$/, 'A name is one line of plain text.');

const choice = (what: string) =>
  z
    .string({ error: `Choose ${what}.` })
    .min(1, `Choose ${what}.`)
    .max(60);

const optionalId = z.string().max(60).optional();

/** The strides that can be typed in, with what a horse could never do. */
export const TYPED_STRIDES: { entry: StrideEntryKey; label: string; minM: number; maxM: number }[] = [
  { entry: 'walk-poles', label: 'Walk step over poles', minM: 0.4, maxM: 1.4 },
  { entry: 'trot-poles', label: 'Trot step over poles', minM: 0.5, maxM: 2.2 },
  { entry: 'canter-poles', label: 'Canter stride over poles', minM: 1.2, maxM: 4.5 },
  { entry: 'course-canter', label: 'Canter stride between fences', minM: 1.5, maxM: 5 },
  { entry: 'walk', label: 'Walk stride in the lane', minM: 0.8, maxM: 3 },
  { entry: 'trot', label: 'Trot stride in the lane', minM: 1, maxM: 5 },
  { entry: 'canter', label: 'Canter stride in the lane', minM: 1, maxM: 5 },
  { entry: 'flat-walk', label: 'Flat walk stride', minM: 0.8, maxM: 3.5 },
  { entry: 'running-walk', label: 'Running walk stride', minM: 1, maxM: 4.5 },
  { entry: 'fox-trot', label: 'Fox trot stride', minM: 1, maxM: 4.5 },
  { entry: 'saddle-gait', label: 'Saddle gait stride', minM: 1, maxM: 4.5 },
  { entry: 'pace', label: 'Pace stride', minM: 1, maxM: 4.5 },
];

const bounds = (minM: number, maxM: number, unit: LengthUnit) =>
  `${formatLength(minM, unit)} to ${formatLength(maxM, unit)}`;

export function horseForm(unit: LengthUnit) {
  const strides = Object.fromEntries(
    TYPED_STRIDES.map(({ entry, label, minM, maxM }) => [
      entry,
      // A page of a Roan of before knows fewer of them.
      optionalText(label, minM, maxM, unit, USUAL_STRIDE[entry]).prefault(''),
    ]),
  ) as Record<StrideEntryKey, z.ZodPrefault<ReturnType<typeof optionalText>>>;
  return z.object({
    id: optionalId,
    name: name('the horse'),
    height: heightText,
    type: z.enum(HORSE_TYPES, { error: 'Choose what kind of horse this is.' }),
    bornYear: bornYearText,
    level: z.enum(HORSE_LEVELS, { error: 'Choose how much the horse has learned.' }),
    stiffSide: z.enum(['left', 'right', 'neither']).transform(side => (side === 'neither' ? null : side)),
    notes: z.string().trim().max(MAX_NOTES, `Notes have at most ${MAX_NOTES} letters.`),
    strides: z.object(strides),
  });
}

const MAX_NOTES = 2000;
/** Older than any horse has been, and no later than a foal could be entered. */
const EARLIEST_BORN = 1960;
const LATEST_BORN = 2100;

const bornYearText = z.string().transform((text, context) => {
  if (text.trim() === '') return null;
  const year = /^\s*\d{4}\s*$/.test(text) ? Number(text) : Number.NaN;
  if (year >= EARLIEST_BORN && year <= LATEST_BORN) return year;
  context.addIssue({ code: 'custom', message: 'Type the year it was born, such as 2014, or leave it empty.' });
  return z.NEVER;
});

/** An empty field means "not known": null. */
function optionalText(what: string, minM: number, maxM: number, unit: LengthUnit, usual?: UsualLength) {
  const typed = lengthText({
    what,
    minM,
    maxM,
    bounds: bounds(minM, maxM, unit),
    defaultUnit: unit,
    ...(usual ? { usual } : {}),
  });
  return z.string().transform((text, context) => {
    if (text.trim() === '') return null;
    const parsed = typed.safeParse(text);
    if (parsed.success) return parsed.data;
    context.addIssue({ code: 'custom', message: parsed.error.issues[0]?.message ?? 'This is no length.' });
    return z.NEVER;
  });
}

export function personForm(unit: LengthUnit) {
  return z.object({
    id: optionalId,
    name: name('the person'),
    role: z.enum(['instructor', 'rider', 'helper', 'office'], { error: 'Choose what this person does.' }),
    stepLength: optionalText('A step', 0.3, 1.5, unit, { leastM: 0.5, mostM: 1.2 }),
  });
}

/** A rider by name, who may be new, on a horse of the yard. */
export const newPairForm = z.object({ rider: name('the rider'), horseId: choice('a horse') });

export const pairForm = z.object({ riderId: choice('a rider'), horseId: choice('a horse') });

export function arenaForm(unit: LengthUnit) {
  const side = (what: string) =>
    lengthText({
      what,
      minM: MIN_ARENA_SIDE_M,
      maxM: MAX_ARENA_SIDE_M,
      bounds: bounds(MIN_ARENA_SIDE_M, MAX_ARENA_SIDE_M, unit),
      defaultUnit: unit,
    });
  return z
    .object({
      id: optionalId,
      name: name('the arena'),
      width: side('The short side'),
      length: side('The long side'),
      letters: z.enum(['20x60', '20x40', 'none'], { error: 'Choose the letters.' }),
      boundary: z.enum(['walls', 'fence', 'open'], { error: 'Choose what is round it.' }),
    })
    .superRefine((arena, context) => {
      const fault = arenaFault({ widthM: arena.width, lengthM: arena.length, letters: arena.letters });
      if (fault?.field === 'letters') context.addIssue({ code: 'custom', path: ['letters'], message: fault.reason });
    });
}

export const layoutForm = z.object({
  name: name('the layout'),
  arenaId: choice('an arena'),
  horseIds: z.array(z.string().min(1).max(60)).max(200, 'A group has at most 200 horses.'),
});

/** Words a layout is found by, as they are typed: apart by commas. */
export const tagsForm = z.object({
  tags: z
    .string()
    .transform(text => [...new Set(text.split(',').map(tag => tag.trim().toLowerCase()))].filter(tag => tag !== ''))
    .pipe(z.array(z.string().max(24, 'A tag has at most 24 letters.')).max(12, 'A layout has at most 12 tags.')),
});

export const KIT_KINDS = ['pole', 'stand-pair', 'cup', 'block', 'cone', 'filler', 'marker'] as const;
export type KitKind = (typeof KIT_KINDS)[number];

/** What kind of kit has a size: the length of poles, the height of blocks. */
export const KIT_SIZES: Partial<Record<KitKind, { label: string; minM: number; maxM: number }>> = {
  pole: { label: 'A pole', minM: MIN_POLE_LENGTH_M, maxM: MAX_POLE_LENGTH_M },
  block: { label: 'A block', minM: 0.05, maxM: 1 },
};

const wholeCount = (what: string, least: number, most: number) =>
  z.string().transform((text, context) => {
    const count = /^\s*\d{1,5}\s*$/.test(text) ? Number(text) : Number.NaN;
    if (count >= least && count <= most) return count;
    context.addIssue({ code: 'custom', message: `${what}: a whole number from ${least} to ${most}.` });
    return z.NEVER;
  });

/** Some kit; poles and blocks have a size, the others none. */
export function kitForm(unit: LengthUnit) {
  return z
    .object({
      id: optionalId,
      kind: z.enum(KIT_KINDS, { error: 'Choose what it is.' }),
      name: z.string().trim().max(60, 'A name has at most 60 letters.'),
      size: z.string(),
      count: wholeCount('How many', 0, 9999),
    })
    .transform(({ size, ...kit }, context) => {
      const bounded = KIT_SIZES[kit.kind];
      if (!bounded) return { ...kit, sizeM: null };
      const { label, minM, maxM } = bounded;
      const typed = lengthText({ what: label, minM, maxM, bounds: bounds(minM, maxM, unit), defaultUnit: unit });
      const parsed = typed.safeParse(size);
      if (parsed.success) return { ...kit, sizeM: parsed.data };
      const message = parsed.error.issues[0]?.message ?? 'This is no length.';
      context.addIssue({ code: 'custom', path: ['size'], message });
      return z.NEVER;
    });
}

/** What somebody can walk to find their step: long enough that a half step does not matter much. */
const WALK = { minM: 5, maxM: 200 };

/** A walk over a taped length: the steps to the half. */
export function walkForm(unit: LengthUnit) {
  return z.object({
    length: lengthText({
      what: 'The taped length',
      ...WALK,
      bounds: bounds(WALK.minM, WALK.maxM, unit),
      defaultUnit: unit,
    }),
    steps: z.string().transform((text, context) => {
      const match = /^\s*(\d{1,3})\s*(?:(½)|[.,](0|5))?\s*$/.exec(text);
      const steps = match ? Number(match[1]) + (match[2] || match[3] === '5' ? 0.5 : 0) : Number.NaN;
      if (steps >= 3 && steps <= 400) return steps;
      context.addIssue({ code: 'custom', message: 'Type the steps, to the half: 20, 20.5 or 20½.' });
      return z.NEVER;
    }),
  });
}
