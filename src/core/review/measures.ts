import { stopsCameTo } from '../record/passEnd';
import type { Share } from '../statistics/proportions';
import type { ReviewPass } from './reviewPass';

/** Something that is counted in every pass: so many of so many. */
export type Measure = {
  measure: string;
  /** What a horse does more often on one side: “lands on the lead of the rein”. */
  does: string;
  of: (pass: ReviewPass) => Share;
};

/** What a pass came to, up to where it ended. */
function cameTo(pass: ReviewPass): ReviewPass['ground']['stops'] {
  return stopsCameTo(pass, pass.ground.stops.length).map(stop => pass.ground.stops[stop]!);
}

/** What is counted wherever two sides are held against each other. */
export const MEASURES: readonly Measure[] = [
  {
    // Stands first: what catches up is measured by it (cleanShares).
    measure: 'clean passes',
    does: 'goes clean',
    of: ({ faults }) => ({ of: 1, hits: faults.length === 0 ? 1 : 0 }),
  },
  {
    measure: 'landed on the lead of the rein',
    does: 'lands on the lead of the rein',
    of: ({ marks, rein }) => {
      const leads = marks.flatMap(mark => (mark.kind === 'lead' ? [mark.lead] : []));
      return { of: leads.length, hits: leads.filter(lead => lead === rein).length };
    },
  },
  {
    measure: 'fences left standing',
    does: 'leaves fences standing',
    of: pass => {
      const fences = cameTo(pass).filter(({ isFence }) => isFence).length;
      const wrong = new Set(
        pass.marks.flatMap(mark =>
          mark.kind === 'fence' && mark.outcome !== 'clear' && mark.outcome !== 'rub' ? [mark.place] : [],
        ),
      ).size;
      return { of: fences, hits: Math.max(0, fences - wrong) };
    },
  },
  {
    measure: 'poles not touched',
    does: 'leaves poles untouched',
    of: pass => {
      const poles = cameTo(pass).filter(({ isFence }) => !isFence).length;
      const hit = new Set(pass.marks.flatMap(mark => (mark.kind === 'hit' ? [mark.place] : []))).size;
      return { of: poles, hits: Math.max(0, poles - hit) };
    },
  },
  {
    measure: 'right canter departs',
    does: 'departs right',
    of: ({ marks }) => {
      const departs = marks.flatMap(mark => (mark.kind === 'depart' ? [mark.how] : []));
      return { of: departs.length, hits: departs.filter(how => how === 'right').length };
    },
  },
  {
    measure: 'asked counts ridden',
    does: 'rides the count that is asked',
    of: pass => {
      const asked = pass.marks.flatMap(mark => {
        const wanted = mark.kind === 'strides' ? (pass.ground.legs[mark.place - 1]?.asked ?? null) : null;
        return mark.kind === 'strides' && wanted !== null ? [wanted === mark.count] : [];
      });
      return { of: asked.length, hits: asked.filter(Boolean).length };
    },
  },
];
