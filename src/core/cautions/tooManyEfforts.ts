import type { Fence } from '../items/item';
import type { ItemTrack, Layout } from '../layout/layout';
import type { LayoutEdit } from '../layout/layoutEdit';
import { NOWHERE } from './caution';
import type { CautionContext, CautionRule } from './cautionRule';

type Efforts = { low: number; high: number };

/** The fences of one pass of a track, low and high. */
function effortsOf(layout: Layout, track: ItemTrack, highFromM: number): Efforts {
  const fences = track.through.flatMap(
    ({ item }) => layout.items.find((found): found is Fence => found.id === item && found.kind === 'fence') ?? [],
  );
  const high = fences.filter(({ heightM }) => heightM >= highFromM).length;
  return { low: fences.length - high, high };
}

/** Every pass of every track, in shares of a day's work: so many low efforts or so many high ones. */
function dayShare({ layout, limits }: CautionContext): { share: number; efforts: number } {
  const { low, high, highFromM } = limits.efforts;
  let share = 0;
  let efforts = 0;
  for (const track of layout.tracks) {
    if (track.kind !== 'items') continue;
    const once = effortsOf(layout, track, highFromM);
    share += track.passes * (once.low / low + once.high / high);
    efforts += track.passes * (once.low + once.high);
  }
  return { share, efforts };
}

const ROUNDING_SHARE = 1e-9;

/** More jumps than a horse should make in a day; low and high ones each count as their share of it. */
export const tooManyEfforts: CautionRule = {
  code: 'too-many-efforts',
  find: context => {
    const { share, efforts } = dayShare(context);
    if (share <= 1 + ROUNDING_SHARE) return [];
    const { low, high, highFromM } = context.limits.efforts;
    return [
      {
        code: 'too-many-efforts',
        level: 'warn',
        items: [],
        place: NOWHERE,
        text: `${efforts} jumping efforts are planned for each horse; ${low} low ones or ${high} from ${highFromM} m are enough for a day.`,
        mend: 'Plan fewer passes, or leave fences out.',
      },
    ];
  },
  mends: function* (context): Generator<LayoutEdit[]> {
    const { layout } = context;
    const { share } = dayShare(context);
    const fewer = layout.tracks.flatMap((track): LayoutEdit[] => {
      const passes = Math.max(1, Math.floor(track.passes / share));
      return track.kind === 'items' && passes < track.passes ? [{ kind: 'set-passes', track: track.id, passes }] : [];
    });
    if (fewer.length > 0) yield fewer;
    // Even one pass each is too much: leave the last fences out, one more each time.
    const fences = layout.items.filter(item => item.kind === 'fence').map(({ id }) => id);
    for (let less = 1; less < fences.length; less += 1)
      yield [...fewer, ...fences.slice(-less).map((item): LayoutEdit => ({ kind: 'remove-item', item }))];
  },
};
