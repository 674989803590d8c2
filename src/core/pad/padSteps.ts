import { poseAt, type Chain } from '../geometry/chain';
import { distanceM, type PointM } from '../geometry/pointM';
import type { PlannedFigure } from '../figures/figure';
import { rideFigure } from '../figures/rideFigure';
import { figureParts } from '../figures/figureParts';
import { figureWords } from '../figures/figureWords';
import { figureStartsM, sessionGaits } from '../figures/sessionGaits';
import { transitionsOf } from '../figures/transitionsAsked';
import { nameWords } from '../items/itemWords';
import { isRaised } from '../items/pole';
import type { Layout } from '../layout/layout';
import type { Labels } from '../layout/labels';
import type { ReckonedTrack } from '../layout/reckonedTrack';
import { gaitWord, type TrackGait } from '../layout/trackGait';

/** Something of what is asked that is marked at its place on the sand. `place` counts from 1, of its own kind. */
export type PadStep = { label: string; words: string; at: PointM } & (
  | { kind: 'fence'; place: number; item: string }
  | { kind: 'pole'; place: number; item: string; lies: boolean }
  /** `alongM`: how far along what is ridden. */
  | { kind: 'transition'; place: number; from: TrackGait | 'halt'; to: TrackGait | 'halt'; alongM: number }
  /** `aside`: where the horse goes sideways in it; null where it stays on one track. `gait`: what is asked where it begins. */
  | {
      kind: 'figure';
      place: number;
      part: number | null;
      chain: Chain | null;
      aside: PointM | null;
      alongM: number;
      gait: TrackGait;
    }
);

/**
 * What is marked of an asked layout, as drawn: what is ridden over in order; of a session its changes of gait in order, then
 * its figures, part by part.
 */
export function padSteps(asked: Layout, reckoned: ReckonedTrack, labels: Pick<Labels, 'short' | 'called'>): PadStep[] {
  const [track] = asked.tracks;
  if (!track) return [];
  if (track.kind === 'items')
    return track.through.map(({ item: id }, index): PadStep => {
      const item = asked.items.find(one => one.id === id)!;
      const label = labels.short(id);
      const step = { place: index + 1, item: id, label, words: nameWords(item, labels.called(id)), at: item.at };
      return item.kind === 'pole'
        ? { kind: 'pole', ...step, lies: !isRaised(item.raised) }
        : { kind: 'fence', ...step };
    });
  const session = reckoned.kind === 'figures' ? reckoned.session : null;
  const transitions = (session ? transitionsOf(session) : []).map(({ place, from, to, pose, alongM }): PadStep => {
    const words = `${gaitWord(from)} to ${gaitWord(to)}`;
    return { kind: 'transition', place, from, to, alongM, label: String(place), words, at: pose.at };
  });
  const startsM = session ? figureStartsM(session, track.figures.length) : [];
  const gaits = session ? sessionGaits(session) : [];
  const gaitAt = (alongM: number) => gaits.findLast(({ fromM }) => fromM <= alongM + 1e-6)?.gait ?? track.gait;
  // Numbered on in the order ridden, so that no two keys of a session bear one number.
  let number = 0;
  const figures = track.figures.flatMap((planned, index): PadStep[] => {
    const place = index + 1;
    const parts = figureParts(asked.arena, planned, planned.gait ?? track.gait);
    const asides = asidesOf(asked.arena, planned, planned.gait ?? track.gait);
    const name = figureWords(planned);
    let alongM = startsM[index] ?? 0;
    const begins = (chain: Chain | null) => {
      const at = { alongM, gait: gaitAt(alongM) };
      alongM += chain?.lengthM ?? 0;
      return at;
    };
    if (parts.length > 1)
      return parts.map(({ part, words, chain }) => ({
        ...{ kind: 'figure', place, part, chain, label: String((number += 1)), ...begins(chain) },
        aside: nearestTo(asides, middleOf(chain)),
        ...{ words: track.figures.length > 1 ? `${words}, ${name}` : words, at: middleOf(chain) },
      }));
    const chain = wholeOf(reckoned, planned.figure.start.at);
    const label = String((number += 1));
    const [aside = null] = asides;
    const at = aside ?? planned.figure.start.at;
    return [{ kind: 'figure', place, part: null, chain, label, words: name, at, aside, ...begins(chain) }];
  });
  return [...transitions, ...figures];
}

/** Where in a figure the horse goes sideways: the middle of each such stretch. */
function asidesOf(arena: Layout['arena'], planned: PlannedFigure, gait: TrackGait): PointM[] {
  const ride = rideFigure(planned, gait, arena);
  if (!ride.ok) return [];
  return ride.pieces.flatMap(piece => (piece.kind === 'stretch' && piece.sideways ? [middleOf(piece.chain)] : []));
}

function nearestTo(points: readonly PointM[], at: PointM): PointM | null {
  return [...points].sort((a, b) => distanceM(a, at) - distanceM(b, at))[0] ?? null;
}

const middleOf = (chain: Chain) => poseAt(chain, chain.lengthM / 2).at;

/** The piece of a session that begins where a figure begins; null where it cannot be ridden. */
function wholeOf(reckoned: ReckonedTrack, start: PointM): Chain | null {
  if (reckoned.kind !== 'figures' || !reckoned.session.ok) return null;
  const piece = reckoned.session.pieces.find(
    one =>
      one.kind === 'stretch' && Math.hypot(one.chain.start.at.xM - start.xM, one.chain.start.at.yM - start.yM) < 1e-6,
  );
  return piece?.kind === 'stretch' ? piece.chain : null;
}
