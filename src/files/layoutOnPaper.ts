import { FENCE_FORMS, HORSE_LEVELS, HORSE_TYPES, STRIDE_ENTRY_KEYS, TRACK_GAITS } from '@/core';
import { z } from 'zod';
import { ArenaThings, Outline, OwnLetters } from './arenaShape';
import { FigureOnPaper } from './layoutFigures';

/**
 * The shape of the layout file. docs/layout-file.md describes it; the JSON Schema beside it is made from this. Version 1 has no
 * names beside ids and no ids of horses and figures: layoutFile.ts refuses them there.
 */

const MOST_ITEMS = 2000;
const MOST_M = 1000;
export const PaperId = z.string().min(1).max(60);
/** What somebody called it; left out where nobody did. */
export const PaperName = z.string().trim().min(1).max(60);
const own = { id: PaperId, name: PaperName.optional() };
const Metres = (min: number, max: number) => z.number().min(min).max(max);
const Point = z.strictObject({ xM: Metres(-MOST_M, MOST_M), yM: Metres(-MOST_M, MOST_M) });
const Facing = z.number().min(0).lt(360);

const PoleOnPaper = z.strictObject({
  kind: z.literal('pole'),
  ...own,
  at: Point,
  facingDeg: Facing,
  lengthM: Metres(0.1, 20),
  raisedM: z.union([Metres(0, 1), z.strictObject({ leftM: Metres(0, 1), rightM: Metres(0, 1) })]).default(0),
});
const FenceOnPaper = z.strictObject({
  kind: z.literal('fence'),
  ...own,
  form: z.enum(FENCE_FORMS),
  at: Point,
  facingDeg: Facing,
  widthM: Metres(0.1, 20),
  heightM: Metres(0, 3),
  spreadM: Metres(0, 10).default(0),
  ridden: z.enum(['one-way', 'both-ways']).default('both-ways'),
  groundLine: z.strictObject({ beforeM: Metres(-5, 5) }).optional(),
  sideHeightM: Metres(0, 3).optional(),
  filler: z.boolean().default(false),
  corner: z.strictObject({ narrowEnd: z.enum(['left', 'right']), aimFromFlagM: Metres(0.1, 20).optional() }).optional(),
});
const GuideOnPaper = z.strictObject({
  kind: z.literal('guide'),
  ...own,
  at: Point,
  facingDeg: Facing,
  lengthM: Metres(0.1, 20),
});
const ConeOnPaper = z.strictObject({ kind: z.literal('cone'), ...own, at: Point });
const BlockOnPaper = z.strictObject({
  kind: z.literal('block'),
  ...own,
  at: Point,
  heightM: Metres(0, 2).default(0.15),
});
const MarkerOnPaper = z.strictObject({ kind: z.literal('marker'), ...own, at: Point });

export const ItemOnPaper = z.discriminatedUnion('kind', [
  PoleOnPaper,
  FenceOnPaper,
  GuideOnPaper,
  ConeOnPaper,
  BlockOnPaper,
  MarkerOnPaper,
]);

export const LegOnPaper = z.strictObject({
  track: z.union([z.enum(['direct', 'natural', 'wide']), z.strictObject({ via: Point })]).default('natural'),
  setting: z.enum(['course', 'grid', 'poles']).default('course'),
  approach: z.enum(['canter', 'trot']).default('canter'),
  asked: z.number().int().min(0).max(200).optional(),
  rein: z.enum(['left', 'right']).optional(),
  radiusM: Metres(0.5, 100).optional(),
});

/** The ground before the first item and behind the last counts for the time, metres. */
const CourseOnPaper = z.strictObject({
  speedMPerMin: z.number().min(50).max(1000).default(350),
  startM: Metres(0, 100).default(0),
  finishM: Metres(0, 100).default(0),
});

/** Over items, or a figure, or a session of figures. */
export const TrackOnPaper = z.strictObject({
  ...own,
  gait: z.enum(TRACK_GAITS),
  through: z
    .array(z.strictObject({ item: PaperId, reversed: z.boolean().default(false) }))
    .min(1)
    .max(500)
    .optional(),
  legs: z.array(LegOnPaper).optional(),
  course: CourseOnPaper.optional(),
  ownLines: z.boolean().optional(),
  figure: FigureOnPaper.optional(),
  figures: z.array(FigureOnPaper).min(1).max(200).optional(),
  passes: z.number().int().min(1).max(100).default(1),
});
export type TrackOnPaper = z.infer<typeof TrackOnPaper>;

const KitCount = z.number().int().min(0).max(10_000).optional();
/** A kind that was never counted is left out: it is unknown, not none. */
const KitOnPaper = z.strictObject({
  poles: KitCount,
  stands: KitCount,
  cups: KitCount,
  blocks: KitCount,
  cones: KitCount,
  fillers: KitCount,
  markers: KitCount,
});

const StrideOnPaper = z
  .strictObject({
    shortM: Metres(0.1, 10),
    normalM: Metres(0.1, 10),
    longM: Metres(0.1, 10),
    spread: z.number().gt(0).max(1).optional(),
  })
  .refine(({ shortM, normalM, longM }) => shortM <= normalM && normalM <= longM, {
    message: 'short, normal and long must grow in that order',
  });

const HorseOnPaper = z.strictObject({
  /** Left out, a horse is known by its name. */
  id: PaperId.optional(),
  name: z.string().min(1).max(60),
  heightCm: z.number().min(60).max(220),
  type: z.enum(HORSE_TYPES).default('all-round'),
  level: z.enum(HORSE_LEVELS).default('novice'),
  strides: z.partialRecord(z.enum(STRIDE_ENTRY_KEYS), StrideOnPaper).default({}),
});

/** The shape of the file; what ties its parts together is checked behind it. */
export const LayoutOnPaper = z.strictObject({
  format: z.literal('roan-layout'),
  version: z.literal([1, 2]),
  name: z.string().min(1).max(120),
  arena: z.strictObject({
    widthM: z.number(),
    lengthM: z.number(),
    letters: z.enum(['20x60', '20x40', 'none']).default('none'),
    fall: z.strictObject({ facingDeg: Facing, percent: z.number().min(0).max(30) }).optional(),
    /** Where the sand is no rectangle, its corners; letters at places of the yard’s own; and what stands there. */
    outline: Outline.optional(),
    ownLetters: OwnLetters.optional(),
    standing: ArenaThings.optional(),
  }),
  school: z.enum(['whole-stride', 'two-metre']).default('whole-stride'),
  leanDeg: z.number().min(5).max(45).nullable().optional(),
  items: z.array(ItemOnPaper).max(MOST_ITEMS),
  tracks: z.array(TrackOnPaper).max(200).default([]),
  horses: z.array(HorseOnPaper).max(200).default([]),
  kit: KitOnPaper.optional(),
});
export type LayoutOnPaper = z.infer<typeof LayoutOnPaper>;
export type LegOnPaper = z.infer<typeof LegOnPaper>;
export type ItemOnPaper = z.infer<typeof ItemOnPaper>;
