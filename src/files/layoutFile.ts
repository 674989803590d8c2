import {
  facingFromHeading,
  headingFromFacing,
  isRidden,
  type CornerShape,
  type Item,
  type Layout,
  type PlannedFigure,
  type PlannedLeg,
  type PlannedTrack,
} from '@/core';
import type { z } from 'zod';
import { tiesFault } from './layoutFaults';
import { figureFromPaper, figureToPaper } from './layoutFigures';
import { LayoutOnPaper, LegOnPaper, type ItemOnPaper, type TrackOnPaper } from './layoutOnPaper';

/** Reads and writes the layout file. */

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

function legFromPaper({ track, setting, approach, asked, rein, radiusM }: LegOnPaper): PlannedLeg {
  const circle = rein ? { rein, radiusM: radiusM ?? 10 } : null;
  return { track, setting, approach, asked: asked ?? null, circle };
}

function itemFromPaper(paper: ItemOnPaper): Item {
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

function legToPaper({ track, setting, approach, asked, circle }: PlannedLeg): LegOnPaper {
  return { track, setting, approach, ...(asked === null ? {} : { asked }), ...(circle ?? {}) };
}

function cornerToPaper({ narrowEnd, aimFromFlagM }: CornerShape) {
  return { narrowEnd, ...(aimFromFlagM === null ? {} : { aimFromFlagM }) };
}

function itemToPaper(item: Item): ItemOnPaper {
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
