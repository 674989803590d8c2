import {
  arenaFault,
  facingFromHeading,
  FENCE_FORMS,
  headingFromFacing,
  isRidden,
  STRIDE_ENTRY_KEYS,
  TRACK_GAITS,
  type Item,
  type Layout,
  type PlannedLeg,
} from '@/core';
import { z } from 'zod';

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

const TrackOnPaper = z.strictObject({
  id: Id,
  gait: z.enum(TRACK_GAITS),
  through: z
    .array(z.strictObject({ item: Id, reversed: z.boolean().default(false) }))
    .min(1)
    .max(500),
  legs: z.array(LegOnPaper).optional(),
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
  }),
  school: z.enum(['whole-stride', 'two-metre']).default('whole-stride'),
  items: z.array(ItemOnPaper).max(MOST_ITEMS),
  tracks: z.array(TrackOnPaper).max(200).default([]),
  horses: z.array(HorseOnPaper).max(200).default([]),
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
    repeatedId('items', paper.items) ?? repeatedId('tracks', paper.tracks) ?? horsesFault(paper) ?? tracksFault(paper)
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

function tracksFault({ tracks, items }: LayoutOnPaper): string | null {
  const kinds = new Map(items.map(item => [item.id, item.kind]));
  for (const [t, { through, legs }] of tracks.entries()) {
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

function fromPaper(paper: LayoutOnPaper): Layout {
  return {
    name: paper.name,
    arena: paper.arena,
    school: paper.school,
    items: paper.items.map(itemFromPaper),
    tracks: paper.tracks.map(({ id, gait, through, legs }) => ({
      id,
      gait,
      through,
      legs: through.slice(1).map((_, index) => legFromPaper(legs?.[index] ?? LegOnPaper.parse({}))),
    })),
    horses: paper.horses.map(({ name, heightCm, strides }) => ({ name, heightM: heightCm / 100, strides })),
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
      const { facingDeg, groundLine, sideHeightM, ...fence } = paper;
      const headingRad = headingFromFacing(facingDeg);
      return { ...fence, headingRad, groundLineBeforeM: groundLine?.beforeM ?? null, sideHeightM: sideHeightM ?? null };
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
    arena: { ...layout.arena },
    school: layout.school,
    items: layout.items.map(itemToPaper),
    tracks: layout.tracks.map(({ id, gait, through, legs }) => ({ id, gait, through, legs: legs.map(legToPaper) })),
    // To the hundredth of a millimetre: 1.63 × 100 is not 163 in binary.
    horses: layout.horses.map(({ name, heightM, strides }) => ({
      name,
      heightCm: Math.round(heightM * 1e5) / 1e3,
      strides,
    })),
  };
}

function legToPaper({ track, setting, approach, asked, circle }: PlannedLeg): z.infer<typeof LegOnPaper> {
  return { track, setting, approach, ...(asked === null ? {} : { asked }), ...(circle ?? {}) };
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
    const { kind, id, form, at, widthM, heightM, spreadM, ridden, filler, groundLineBeforeM, sideHeightM } = item;
    return {
      ...{ kind, id, form, at, widthM, heightM, spreadM, ridden, filler },
      facingDeg,
      ...(groundLineBeforeM === null ? {} : { groundLine: { beforeM: groundLineBeforeM } }),
      ...(sideHeightM === null ? {} : { sideHeightM }),
    };
  }
  return item;
}
