import type { Segment } from '../geometry/segment';
import type { Layout, LayoutHorse } from '../layout/layout';
import type { LayoutEdit } from '../layout/layoutEdit';
import type { TrackGait } from '../layout/trackGait';
import { gaitRadiusM } from '../track/gaitRadius';
import type { Figure } from '../figures/figure';
import type { Caution } from './caution';
import { ROUNDING, type CautionLimits } from './cautionLimits';
import {
  allLegs,
  figureTracks,
  fromTo,
  legOfCaution,
  metres,
  metresBy,
  sentence,
  trackCalled,
  type CautionContext,
  type CautionRule,
} from './cautionRule';
import { ringMoves } from './mendMoves';

/** The tightest turn that every horse of a layout carries at a gait, metres, and which horse sets it. */
function tightestM(layout: Layout, gait: TrackGait, limits: CautionLimits): { radiusM: number; horse: string | null } {
  if (gait === 'walk' || gait === 'flat-walk') return { radiusM: gaitRadiusM(gait), horse: null };
  const pace = gait === 'canter' || gait === 'course-canter' ? 'canter' : 'trot';
  const of = ({ level }: LayoutHorse) => limits.turnRadiusM[level][pace];
  const least = layout.horses.reduce<LayoutHorse | null>((a, b) => (a === null || of(b) > of(a) ? b : a), null);
  return least ? { radiusM: of(least), horse: least.name } : { radiusM: limits.turnRadiusM.novice[pace], horse: null };
}

function tightestArcM(segments: readonly Segment[]): number {
  return Math.min(Infinity, ...segments.flatMap(segment => (segment.kind === 'arc' ? [segment.radiusM] : [])));
}

function text(where: string, radiusM: number, { radiusM: leastM, horse }: ReturnType<typeof tightestM>): string {
  const who = horse === null ? 'this gait' : horse;
  return `${where} turns at a radius of ${metresBy(radiusM, leastM)}; ${metres(leastM)} is about what ${who} carries.`;
}

/** Legs at walk: what a faster gait cannot carry is said by `cannot-be-ridden`. */
function inLegs(context: CautionContext): Caution[] {
  return allLegs(context).flatMap(({ plan, leg, index }) => {
    if (plan.gait !== 'walk' && plan.gait !== 'flat-walk') return [];
    const least = tightestM(context.layout, plan.gait, context.limits);
    const radiusM = tightestArcM(leg.chain.segments);
    if (radiusM >= least.radiusM - ROUNDING) return [];
    return [
      {
        code: 'tight-turn',
        level: 'warn',
        items: [leg.from, leg.to],
        place: { track: plan.id, part: index },
        text: text(`The line ${fromTo(context, leg)}`, radiusM, least),
        mend: 'Ride it wider, set the two farther apart, or turn one of them.',
      },
    ];
  });
}

function inFigures(context: CautionContext): Caution[] {
  return figureTracks(context).flatMap(({ plan, reckoned }) => {
    if (!reckoned.session.ok) return [];
    for (const piece of reckoned.session.pieces) {
      if (piece.kind === 'station') continue;
      const least = tightestM(context.layout, piece.gait, context.limits);
      const radiusM = tightestArcM(piece.chain.segments);
      if (radiusM < least.radiusM - ROUNDING)
        return [
          {
            code: 'tight-turn' as const,
            level: 'warn' as const,
            items: [],
            place: { track: plan.id, part: null },
            text: text(sentence(trackCalled(context, plan.id)), radiusM, least),
            mend: 'Make the figure larger, or ride it in a slower gait.',
          },
        ];
    }
    return [];
  });
}

/** A turn tighter than the gait and the horse's level carry. */
export const tightTurn: CautionRule = {
  code: 'tight-turn',
  find: context => [...inLegs(context), ...inFigures(context)],
  mends: function* (context, caution): Generator<LayoutEdit[]> {
    const { layout, limits } = context;
    const leg = legOfCaution(context, caution);
    if (leg) {
      const { track, circle } = leg.plan.legs[leg.index]!;
      const leastM = tightestM(layout, leg.plan.gait, limits).radiusM;
      const change = (changes: Extract<LayoutEdit, { kind: 'change-leg' }>['changes']): LayoutEdit[] => [
        { kind: 'change-leg', track: leg.plan.id, leg: leg.index, changes },
      ];
      if (circle) return yield change({ circle: { ...circle, radiusM: leastM } });
      if (track !== 'natural') yield change({ track: 'natural' });
      yield* ringMoves(layout, leg.leg.to, 1, 12);
      return yield* ringMoves(layout, leg.leg.from, 2, 12);
    }
    const session = figureTracks(context).find(({ plan }) => plan.id === caution.place.track);
    if (session) yield widened(session.plan, context);
  },
};

/** Every round of a session at least as wide as its gait and the horses carry. */
function widened(
  plan: { id: string; gait: TrackGait; figures: { figure: Figure; gait: TrackGait | null }[] },
  context: CautionContext,
): LayoutEdit[] {
  return plan.figures.map(({ figure, gait }, index) => {
    const leastM = tightestM(context.layout, gait ?? plan.gait, context.limits).radiusM;
    return { kind: 'change-figure', track: plan.id, index, figure: atLeast(figure, leastM) };
  });
}

function atLeast(figure: Figure, radiusM: number): Figure {
  const wide = (diameterM: number) => Math.max(diameterM, 2 * radiusM);
  switch (figure.kind) {
    case 'circle':
      return { ...figure, diameterM: wide(figure.diameterM) };
    case 'half-circle-return':
      return {
        ...figure,
        diameterM: wide(figure.diameterM),
        returnM: Math.max(figure.returnM, wide(figure.diameterM)),
      };
    case 'eight':
      return {
        ...figure,
        firstDiameterM: wide(figure.firstDiameterM),
        secondDiameterM: wide(figure.secondDiameterM),
      };
    case 'spiral':
      return { ...figure, diametersM: figure.diametersM.map(wide) };
    case 'change-rein':
      return { ...figure, radiusM: Math.max(figure.radiusM, radiusM) };
    case 'round-arena':
      return { ...figure, cornerRadiusM: Math.max(figure.cornerRadiusM, radiusM) };
    case 'serpentine':
      // As many loops as leave each turn its radius.
      return { ...figure, loops: Math.max(1, Math.min(figure.loops, Math.floor(figure.lengthM / (2 * radiusM)))) };
    default:
      return figure;
  }
}
