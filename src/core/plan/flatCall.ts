import { arenaLetters } from '../arena/arenaLetters';
import type { Arena } from '../arena/arena';
import { figureWords } from '../figures/figureWords';
import type { Figure, Pace, PlannedFigure } from '../figures/figure';
import { rideFigure } from '../figures/rideFigure';
import { askedOfBody } from '../figures/sessionBands';
import type { Stretch } from '../figures/stretch';
import { poseAt } from '../geometry/chain';
import { distanceM, type PointM } from '../geometry/pointM';
import type { TrackGait } from '../layout/trackGait';

/**
 * One figure as it is called out: where, what, in which gait and on which rein. `then`: what changes on its way, each with
 * its place: "at X: right rein".
 */
export type FlatCall = { where: string; what: string; gait: TrackGait; rein: Figure['rein']; then: string[] };

/** So near to a letter one is at it, metres. */
const AT_LETTER_M = 1.5;
const ON_LINE_M = 0.6;

/** The figures of a session as they are called out, letter by letter. */
export function flatCalls(arena: Arena, figures: readonly PlannedFigure[], gait: TrackGait): FlatCall[] {
  return figures.map(planned => ({
    where: placeWords(arena, planned.figure.start.at),
    what: `${figureWords(planned)}${timesWords(planned.figure)}`,
    gait: planned.gait ?? gait,
    rein: planned.figure.rein,
    then: changesOnTheWay(arena, planned, gait),
  }));
}

/** A call in one sentence: "At A: 20 m circle, twice, trot, left rein; at X: right rein". */
export function callWords({ where, what, gait, rein, then }: FlatCall): string {
  return [`${where}: ${what}, ${gait.replaceAll('-', ' ')}, ${rein} rein`, ...then].join('; ');
}

/** A figure ridden several times changes at the same places each time: each is called once. */
function changesOnTheWay(arena: Arena, planned: PlannedFigure, gait: TrackGait): string[] {
  const ride = rideFigure(planned, gait, arena);
  if (!ride.ok) return [];
  const [first] = ride.pieces;
  // What it begins with is its name: a leg-yield, a free walk.
  const asked = first?.kind === 'stretch' ? askedOn(first).asked : null;
  let before: Asked = { gait: planned.gait ?? gait, rein: planned.figure.rein, pace: 'normal', asked };
  const told: string[] = [];
  for (const piece of ride.pieces) {
    if (piece.kind === 'station') continue;
    const now = askedOn(piece);
    const words = changeWords(before, now);
    if (words !== '') {
      const place = placeWords(arena, poseAt(piece.chain, 0).at);
      told.push(`${place.slice(0, 1).toLowerCase()}${place.slice(1)}: ${words}`);
    }
    before = now;
  }
  return [...new Set(told)];
}

type Asked = { gait: TrackGait; rein: Figure['rein']; pace: Pace; asked: string | null };

function askedOn(stretch: Stretch): Asked {
  const { gait, rein, pace } = stretch;
  return { gait, rein, pace, asked: askedOfBody(stretch)?.replaceAll('-', ' ') ?? null };
}

/** What is different from here on; a rest that fills the whole figure is its name. */
function changeWords(before: Asked, now: Asked): string {
  return [
    ...(now.rein === before.rein ? [] : [`${now.rein} rein`]),
    ...(now.gait === before.gait ? [] : [now.gait.replaceAll('-', ' ')]),
    ...(now.pace === before.pace ? [] : [`${now.pace} strides`]),
    ...(now.asked === before.asked ? [] : [now.asked ?? 'on one track']),
  ].join(', ');
}

function timesWords(figure: Figure): string {
  const times = 'rounds' in figure ? figure.rounds : 'times' in figure ? figure.times : 1;
  if (times === 0.5) return ', half a round';
  return times === 1 ? '' : times === 2 ? ', twice' : `, ${Math.round(times * 100) / 100} times`;
}

/** A place as it is said in an arena: "At K", "Between K and V", "On the quarter line", "At the wall". */
export function placeWords(arena: Arena, at: PointM): string {
  const near = [...arenaLetters(arena)].sort((a, b) => distanceM(a.at, at) - distanceM(b.at, at));
  const [first] = near;
  if (first && distanceM(first.at, at) <= AT_LETTER_M) return `At ${first.letter}`;
  const sameWall = near.filter(({ at: { xM } }) => Math.abs(xM - at.xM) < ON_LINE_M);
  const below = sameWall.filter(({ at: { yM } }) => yM < at.yM).sort((a, b) => b.at.yM - a.at.yM)[0];
  const above = sameWall.filter(({ at: { yM } }) => yM > at.yM).sort((a, b) => a.at.yM - b.at.yM)[0];
  if (below && above) return `Between ${below.letter} and ${above.letter}`;
  // The letters of the centre line are not on the ground: one looks at those of the walls.
  const [seen] = near.filter(
    ({ at: { xM, yM } }) => xM === 0 || yM === 0 || xM === arena.widthM || yM === arena.lengthM,
  );
  const share = at.xM / arena.widthM;
  const isNear = (wanted: number) => Math.abs(share - wanted) * arena.widthM < ON_LINE_M;
  if (isNear(0.5)) return 'On the centre line';
  if (isNear(0.25) || isNear(0.75)) return `On the quarter line${seen ? ` near ${seen.letter}` : ''}`;
  const insetM = Math.min(at.xM, at.yM, arena.widthM - at.xM, arena.lengthM - at.yM);
  if (seen) return `Near ${seen.letter}`;
  return insetM < AT_LETTER_M ? 'At the wall' : 'Inside the arena';
}
