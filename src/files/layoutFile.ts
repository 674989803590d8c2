import {
  arenaFault,
  facingFromHeading,
  FENCE_FORMS,
  headingFromFacing,
  HORSE_LEVELS,
  HORSE_TYPES,
  isRidden,
  STRIDE_ENTRY_KEYS,
  TRACK_GAITS,
  type CornerShape,
  type Item,
  type Layout,
  type PlannedFigure,
  type PlannedLeg,
  type PlannedTrack,
} from '@/core';
import { z } from 'zod';
import { FigureOnPaper, figureFromPaper, figureToPaper } from './layoutFigures';

/** The layout file, version 1. docs/layout-file.md describes it; the JSON Schema beside it is made from this. */

const MOST_ITEMS = 2000;
const MOST_M = 1000;
const Id = z.string().min(1).max(60);
const Metres = (min: number, max: number) => z.number().min(min).max(max);
const Point = z.strictObject({ xM: Metres(-MOST_M, MOST_M), yM: Metres(-MOST_M, MOST_M) });
const Facing = z.number().min(0).lt(360);

const PoleOnPaper = z.strictObject({
  kind: z.literal('pole'),
  id: Id,
  at: Point,
  facingDeg: Facing,
  lengthM: Metres(0.1, 20),
  raisedM: z.union([Metres(0, 1), z.strictObject({ leftM: Metres(0, 1), rightM: Metres(0, 1) })]).default(0),
});
const FenceOnPaper = z.strictObject({
  kind: z.literal('fence'),
  id: Id,
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
  id: Id,
  at: Point,
  facingDeg: Facing,
  lengthM: Metres(0.1, 20),
});
const ConeOnPaper = z.strictObject({ kind: z.literal('cone'), id: Id, at: Point });
const BlockOnPaper = z.strictObject({
  kind: z.literal('block'),
  id: Id,
  at: Point,
  heightM: Metres(0, 2).default(0.15),
});
const MarkerOnPaper = z.strictObject({ kind: z.literal('marker'), id: Id, at: Point });

const ItemOnPaper = z.discriminatedUnion('kind', [
  PoleOnPaper,
  FenceOnPaper,
  GuideOnPaper,
  ConeOnPaper,
  BlockOnPaper,
  MarkerOnPaper,
]);

const LegOnPaper = z.strictObject({
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
const TrackOnPaper = z.strictObject({
  id: Id,
  gait: z.enum(TRACK_GAITS),
  through: z
    .array(z.strictObject({ item: Id, reversed: z.boolean().default(false) }))
    .min(1)
    .max(500)
    .optional(),
  legs: z.array(LegOnPaper).optional(),
  course: CourseOnPaper.optional(),
  figure: FigureOnPaper.optional(),
  figures: z.array(FigureOnPaper).min(1).max(200).optional(),
  passes: z.number().int().min(1).max(100).default(1),
});
type TrackOnPaper = z.infer<typeof TrackOnPaper>;

const KitCount = z.number().int().min(0).max(10_000).default(0);
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
  name: z.string().min(1).max(60),
  heightCm: z.number().min(60).max(220),
  type: z.enum(HORSE_TYPES).default('all-round'),
  level: z.enum(HORSE_LEVELS).default('novice'),
  strides: z.partialRecord(z.enum(STRIDE_ENTRY_KEYS), StrideOnPaper).default({}),
});

/** The shape of the file; what ties its parts together is checked behind it. */
export const LayoutOnPaper = z.strictObject({
  format: z.literal('roan-layout'),
  version: z.literal(1),
  name: z.string().min(1).max(120),
  arena: z.strictObject({
    widthM: z.number(),
    lengthM: z.number(),
    letters: z.enum(['20x60', '20x40', 'none']).default('none'),
    fall: z.strictObject({ facingDeg: Facing, percent: z.number().min(0).max(30) }).optional(),
  }),
  school: z.enum(['whole-stride', 'two-metre']).default('whole-stride'),
  items: z.array(ItemOnPaper).max(MOST_ITEMS),
  tracks: z.array(TrackOnPaper).max(200).default([]),
  horses: z.array(HorseOnPaper).max(200).default([]),
  kit: KitOnPaper.optional(),
});
export type LayoutOnPaper = z.infer<typeof LayoutOnPaper>;

export type ReadLayout = { ok: true; layout: Layout } | { ok: false; reason: string };

const refuse = (reason: string): ReadLayout => ({ ok: false, reason });

/** Reads the text of a layout file, whole or not at all; says what is wrong and where. */
export function readLayoutText(text: string): ReadLayout {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return refuse('The file is not JSON.');
  }
  return readLayout(json);
}

/** Reads a layout file that was parsed as JSON. */
export function readLayout(json: unknown): ReadLayout {
  const version = versionFault(json);
  if (version) return refuse(version);
  const parsed = LayoutOnPaper.safeParse(json);
  if (!parsed.success) return refuse(issueSentence(parsed.error));
  const fault = tiesFault(parsed.data);
  return fault ? refuse(fault) : { ok: true, layout: fromPaper(parsed.data) };
}

function versionFault(json: unknown): string | null {
  if (typeof json !== 'object' || json === null || Array.isArray(json))
    return 'The file is not a layout: it is no object.';
  const { format, version } = json as { format?: unknown; version?: unknown };
  if (format !== 'roan-layout') return 'format: this is not a Roan layout file.';
  if (version !== 1)
    return `version: this Roan reads version 1 of the layout file, and this one says ${JSON.stringify(version) ?? 'nothing'}.`;
  return null;
}

function issueSentence(error: z.ZodError): string {
  const issue = error.issues[0]!;
  const path = issue.path.map(String).join('.') || 'the file';
  if (issue.code === 'unrecognized_keys')
    return `${path}: unknown ${issue.keys.length === 1 ? 'key' : 'keys'} ${issue.keys.map(key => `“${key}”`).join(', ')}.`;
  return `${path}: ${issue.message}.`;
}

/** What the parts say of each other: ids, legs, circles, and the arena. */
function tiesFault(paper: LayoutOnPaper): string | null {
  const arena = arenaFault(paper.arena);
  if (arena) return `arena.${arena.field}: ${arena.reason}`;
  return (
    repeatedId('items', paper.items) ??
    cornersFault(paper) ??
    repeatedId('tracks', paper.tracks) ??
    horsesFault(paper) ??
    tracksFault(paper)
  );
}

function repeatedId(where: string, list: { id: string }[]): string | null {
  const seen = new Set<string>();
  for (const [index, { id }] of list.entries()) {
    if (seen.has(id)) return `${where}.${index}.id: “${id}” is there twice.`;
    seen.add(id);
  }
  return null;
}

function horsesFault({ horses }: LayoutOnPaper): string | null {
  const seen = new Set<string>();
  for (const [index, { name }] of horses.entries()) {
    if (seen.has(name)) return `horses.${index}.name: “${name}” is there twice.`;
    seen.add(name);
  }
  return null;
}

function cornersFault({ items }: LayoutOnPaper): string | null {
  for (const [index, item] of items.entries())
    if (item.kind === 'fence' && item.corner && item.form !== 'corner')
      return `items.${index}.corner: “${item.id}” is no corner.`;
  return null;
}

/** A track goes over items, or is a figure, or a session of figures: one of the three. */
function trackKindFault({ through, legs, course, figure, figures }: TrackOnPaper): string | null {
  const kinds = [through, figure, figures].filter(part => part !== undefined).length;
  if (kinds !== 1) return 'a track has either “through”, “figure” or “figures”.';
  if (!through && (legs || course)) return 'legs and course belong to a track through items.';
  return null;
}

function tracksFault(paper: LayoutOnPaper): string | null {
  const { tracks, items } = paper;
  const kinds = new Map(items.map(item => [item.id, item.kind]));
  for (const [t, track] of tracks.entries()) {
    const kindFault = trackKindFault(track);
    if (kindFault) return `tracks.${t}: ${kindFault}`;
    const { legs, through } = track;
    const figure = figuresFault(track, paper);
    if (figure) return `tracks.${t}.${figure}`;
    if (!through) continue;
    for (const [i, { item }] of through.entries()) {
      const kind = kinds.get(item);
      const where = `tracks.${t}.through.${i}.item`;
      if (!kind) return `${where}: there is no item “${item}”.`;
      if (kind !== 'pole' && kind !== 'fence') return `${where}: “${item}” is a ${kind} and is not ridden over.`;
    }
    if (legs && legs.length !== through.length - 1)
      return `tracks.${t}.legs: ${through.length} items need ${through.length - 1} legs, and there are ${legs.length}.`;
    for (let i = 0; i + 1 < through.length; i += 1) {
      const circle = through[i]!.item === through[i + 1]!.item && through[i]!.reversed === through[i + 1]!.reversed;
      const leg = legs?.[i];
      if (circle && !leg?.rein) return `tracks.${t}.legs.${i}.rein: a circle back to the same item needs a rein.`;
      if (!circle && (leg?.rein || leg?.radiusM !== undefined))
        return `tracks.${t}.legs.${i}: rein and radiusM belong to a circle back to the same item.`;
    }
  }
  return null;
}

function figuresFault({ figure, figures }: TrackOnPaper, { arena }: LayoutOnPaper): string | null {
  const list = figure ? [figure] : (figures ?? []);
  for (const [index, paper] of list.entries()) {
    const read = figureFromPaper(paper, arena);
    if (typeof read === 'string') return `${figure ? 'figure' : `figures.${index}`}.${read}`;
  }
  return null;
}

function fromPaper(paper: LayoutOnPaper): Layout {
  const { fall, ...arena } = paper.arena;
  return {
    name: paper.name,
    arena,
    fall: fall ? { headingRad: headingFromFacing(fall.facingDeg), percent: fall.percent } : null,
    school: paper.school,
    items: paper.items.map(itemFromPaper),
    tracks: paper.tracks.map(track => trackFromPaper(track, arena)),
    horses: paper.horses.map(({ heightCm, ...horse }) => ({ ...horse, heightM: heightCm / 100 })),
    kit: paper.kit ?? null,
  };
}

function trackFromPaper(paper: TrackOnPaper, arena: Layout['arena']): PlannedTrack {
  const { id, gait, passes, through, legs, course, figure, figures } = paper;
  if (!through) {
    const list = (figure ? [figure] : (figures ?? [])).map(one => figureFromPaper(one, arena));
    return { kind: 'figures', id, gait, passes, figures: list as PlannedFigure[] };
  }
  return {
    kind: 'items',
    id,
    gait,
    passes,
    through,
    legs: through.slice(1).map((_, index) => legFromPaper(legs?.[index] ?? LegOnPaper.parse({}))),
    course: course ?? null,
  };
}

function legFromPaper({ track, setting, approach, asked, rein, radiusM }: z.infer<typeof LegOnPaper>): PlannedLeg {
  const circle = rein ? { rein, radiusM: radiusM ?? 10 } : null;
  return { track, setting, approach, asked: asked ?? null, circle };
}

function itemFromPaper(paper: z.infer<typeof ItemOnPaper>): Item {
  switch (paper.kind) {
    case 'pole': {
      const { facingDeg, raisedM, ...pole } = paper;
      const raised = typeof raisedM === 'number' ? { leftM: raisedM, rightM: raisedM } : raisedM;
      return { ...pole, headingRad: headingFromFacing(facingDeg), raised };
    }
    case 'fence': {
      const { facingDeg, groundLine, sideHeightM, corner, ...fence } = paper;
      const narrowEnd = corner?.narrowEnd ?? 'left';
      return {
        ...fence,
        headingRad: headingFromFacing(facingDeg),
        groundLineBeforeM: groundLine?.beforeM ?? null,
        sideHeightM: sideHeightM ?? null,
        corner: fence.form === 'corner' ? { narrowEnd, aimFromFlagM: corner?.aimFromFlagM ?? null } : null,
      };
    }
    case 'guide': {
      const { facingDeg, ...guide } = paper;
      return { ...guide, headingRad: headingFromFacing(facingDeg) };
    }
    default:
      return paper;
  }
}

/** Writes a layout as the file has it; read back it is the same layout. */
export function writeLayout(layout: Layout): LayoutOnPaper {
  return {
    format: 'roan-layout',
    version: 1,
    name: layout.name,
    arena: {
      ...layout.arena,
      ...(layout.fall
        ? { fall: { facingDeg: facingFromHeading(layout.fall.headingRad), percent: layout.fall.percent } }
        : {}),
    },
    school: layout.school,
    items: layout.items.map(itemToPaper),
    tracks: layout.tracks.map(trackToPaper),
    // To the hundredth of a millimetre: 1.63 × 100 is not 163 in binary.
    horses: layout.horses.map(({ heightM, ...horse }) => ({ ...horse, heightCm: Math.round(heightM * 1e5) / 1e3 })),
    ...(layout.kit ? { kit: layout.kit } : {}),
  };
}

function trackToPaper(track: PlannedTrack): TrackOnPaper {
  const { id, gait, passes } = track;
  if (track.kind === 'figures') return { id, gait, passes, figures: track.figures.map(figureToPaper) };
  const { through, legs, course } = track;
  return { id, gait, passes, through, legs: legs.map(legToPaper), ...(course ? { course } : {}) };
}

function legToPaper({ track, setting, approach, asked, circle }: PlannedLeg): z.infer<typeof LegOnPaper> {
  return { track, setting, approach, ...(asked === null ? {} : { asked }), ...(circle ?? {}) };
}

function cornerToPaper({ narrowEnd, aimFromFlagM }: CornerShape) {
  return { narrowEnd, ...(aimFromFlagM === null ? {} : { aimFromFlagM }) };
}

function itemToPaper(item: Item): z.infer<typeof ItemOnPaper> {
  if (item.kind === 'guide' || isRidden(item)) {
    const facingDeg = facingFromHeading(item.headingRad);
    if (item.kind === 'guide') {
      const { kind, id, at, lengthM } = item;
      return { kind, id, at, facingDeg, lengthM };
    }
    if (item.kind === 'pole') {
      const { kind, id, at, lengthM, raised } = item;
      return { kind, id, at, facingDeg, lengthM, raisedM: raised };
    }
    const { kind, id, form, at, widthM, heightM, spreadM, ridden, filler, groundLineBeforeM, sideHeightM, corner } =
      item;
    return {
      ...{ kind, id, form, at, widthM, heightM, spreadM, ridden, filler },
      facingDeg,
      ...(groundLineBeforeM === null ? {} : { groundLine: { beforeM: groundLineBeforeM } }),
      ...(sideHeightM === null ? {} : { sideHeightM }),
      ...(corner === null ? {} : { corner: cornerToPaper(corner) }),
    };
  }
  return item;
}
