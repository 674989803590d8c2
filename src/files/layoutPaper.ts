import {
  DEFAULT_LEG,
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
import { figureFromPaper, figureToPaper } from './figurePaper';
import type { ItemOnPaper, LayoutOnPaper, LegOnPaper, TrackOnPaper } from './layoutOnPaper';

/** Layouts, their items and tracks, between the core and the file. Nothing here checks: what comes in was parsed. */

/** A layout as the core has it. */
export function layoutFromPaper(paper: LayoutOnPaper): Layout {
  const { fall, ...arena } = paper.arena;
  return {
    name: paper.name,
    arena,
    fall: fall ? { headingRad: headingFromFacing(fall.facingDeg), percent: fall.percent } : null,
    school: paper.school,
    ...(paper.leanDeg === undefined
      ? {}
      : { leanRad: paper.leanDeg === null ? null : (paper.leanDeg * Math.PI) / 180 }),
    items: paper.items.map(itemFromPaper),
    tracks: paper.tracks.map(track => trackFromPaper(track, arena)),
    horses: paper.horses.map(({ id, heightCm, ...horse }) => ({
      ...horse,
      id: id ?? horse.name,
      heightM: heightCm / 100,
    })),
    kit: paper.kit ?? null,
  };
}

/** A track as the core has it; figures at letters find their place in the arena. */
export function trackFromPaper(paper: TrackOnPaper, arena: Layout['arena']): PlannedTrack {
  const { id, name = null, gait, passes, through, legs, course, figure, figures } = paper;
  if (!through) {
    const list = (figure ? [figure] : (figures ?? [])).map((one, index) => figureFromPaper(one, arena, index));
    return { kind: 'figures', id, name, gait, passes, figures: list as PlannedFigure[] };
  }
  return {
    kind: 'items',
    id,
    name,
    gait,
    passes,
    through,
    legs: through.slice(1).map((_, index) => (legs?.[index] ? legFromPaper(legs[index]) : DEFAULT_LEG)),
    course: course ?? null,
    ...(paper.ownLines ? { ownLines: true } : {}),
  };
}

function legFromPaper({ track, setting, approach, asked, rein, radiusM }: LegOnPaper): PlannedLeg {
  const circle = rein ? { rein, radiusM: radiusM ?? 10 } : null;
  return { track, setting, approach, asked: asked ?? null, circle };
}

/** An item as the core has it. */
export function itemFromPaper(paper: ItemOnPaper): Item {
  const name = paper.name ?? null;
  switch (paper.kind) {
    case 'pole': {
      const { facingDeg, raisedM, ...pole } = paper;
      const raised = typeof raisedM === 'number' ? { leftM: raisedM, rightM: raisedM } : raisedM;
      return { ...pole, name, headingRad: headingFromFacing(facingDeg), raised };
    }
    case 'fence': {
      const { facingDeg, groundLine, sideHeightM, corner, ...fence } = paper;
      const narrowEnd = corner?.narrowEnd ?? 'left';
      return {
        ...{ ...fence, name },
        headingRad: headingFromFacing(facingDeg),
        groundLineBeforeM: groundLine?.beforeM ?? null,
        sideHeightM: sideHeightM ?? null,
        corner: fence.form === 'corner' ? { narrowEnd, aimFromFlagM: corner?.aimFromFlagM ?? null } : null,
      };
    }
    case 'guide': {
      const { facingDeg, ...guide } = paper;
      return { ...guide, name, headingRad: headingFromFacing(facingDeg) };
    }
    default:
      return { ...paper, name };
  }
}

/** What version 1 called a piece of an exercise: the exercise, and a word of its own for the piece: "alder b1", "sorrel g5-guide-right". */
const MADE_UP =
  / ([pgbcqf]\d+(-(guide|tunnel)-(left|right))?|first|second|fence|pole|placing|landing|part-\d+|cone-\d+|gate-\d+-(left|right)|rail-(left|right)|sight-mark|(start|finish)-(left|right))$/;

/**
 * Version 1 had no names: what it calls a thing is both its id and its name, as it was shown; but what it made up for a piece of an
 * exercise nobody ever called it.
 */
export function withNames<Part extends { id: string; name?: string }>(parts: readonly Part[]): Part[] {
  return parts.map(part => (MADE_UP.test(part.id) ? part : { ...part, name: part.id }));
}

/** Writes a layout as the file has it; read back it is the same layout. */
export function writeLayout(layout: Layout): LayoutOnPaper {
  return {
    format: 'roan-layout',
    version: 2,
    name: layout.name,
    arena: {
      ...arenaOnPaper(layout.arena),
      ...(layout.fall
        ? { fall: { facingDeg: facingFromHeading(layout.fall.headingRad), percent: layout.fall.percent } }
        : {}),
    },
    school: layout.school,
    ...(layout.leanRad === undefined ? {} : { leanDeg: layout.leanRad === null ? null : degrees(layout.leanRad) }),
    items: layout.items.map(itemToPaper),
    tracks: layout.tracks.map(trackToPaper),
    // To the hundredth of a millimetre: 1.63 × 100 is not 163 in binary.
    horses: layout.horses.map(({ heightM, ...horse }) => ({ ...horse, heightCm: Math.round(heightM * 1e5) / 1e3 })),
    ...(layout.kit ? { kit: layout.kit } : {}),
  };
}

/** To the thousandth of a degree: 20 degrees are 20 again. */
const degrees = (rad: number) => Math.round((rad * 180_000) / Math.PI) / 1000;

/** A track as the file has it. */
export function trackToPaper(track: PlannedTrack): TrackOnPaper {
  const { id, gait, passes } = track;
  const own = { id, ...nameToPaper(track) };
  if (track.kind === 'figures') return { ...own, gait, passes, figures: track.figures.map(figureToPaper) };
  const { through, legs, course } = track;
  return {
    ...own,
    gait,
    passes,
    through,
    legs: legs.map(legToPaper),
    ...(course ? { course } : {}),
    ...(track.ownLines ? { ownLines: true } : {}),
  };
}

function legToPaper({ track, setting, approach, asked, circle }: PlannedLeg): LegOnPaper {
  return { track, setting, approach, ...(asked === null ? {} : { asked }), ...(circle ?? {}) };
}

function cornerToPaper({ narrowEnd, aimFromFlagM }: CornerShape) {
  return { narrowEnd, ...(aimFromFlagM === null ? {} : { aimFromFlagM }) };
}

/** What is not named is written without a name. */
const nameToPaper = ({ name }: { name: string | null }) => (name === null ? {} : { name });

/** An item as the file has it. */
export function itemToPaper(item: Item): ItemOnPaper {
  const named = nameToPaper(item);
  if (item.kind === 'guide' || isRidden(item)) {
    const facingDeg = facingFromHeading(item.headingRad);
    if (item.kind === 'guide') {
      const { kind, id, at, lengthM } = item;
      return { kind, id, ...named, at, facingDeg, lengthM };
    }
    if (item.kind === 'pole') {
      const { kind, id, at, lengthM, raised } = item;
      return { kind, id, ...named, at, facingDeg, lengthM, raisedM: raised };
    }
    const { kind, id, form, at, widthM, heightM, spreadM, ridden, filler, groundLineBeforeM, sideHeightM, corner } =
      item;
    return {
      ...{ kind, id, ...named, form, at, widthM, heightM, spreadM, ridden, filler },
      facingDeg,
      ...(groundLineBeforeM === null ? {} : { groundLine: { beforeM: groundLineBeforeM } }),
      ...(sideHeightM === null ? {} : { sideHeightM }),
      ...(corner === null ? {} : { corner: cornerToPaper(corner) }),
    };
  }
  const { name: _, ...rest } = item;
  return { ...rest, ...named };
}

function arenaOnPaper({
  widthM,
  lengthM,
  letters,
  outline,
  ownLetters,
  standing,
}: Layout['arena']): LayoutOnPaper['arena'] {
  return {
    ...{ widthM, lengthM, letters },
    ...(outline ? { outline: [...outline] } : {}),
    ...(ownLetters ? { ownLetters: [...ownLetters] } : {}),
    ...(standing ? { standing: [...standing] } : {}),
  };
}
