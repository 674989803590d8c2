import { Sand } from '@/components/Sand/Sand';
import { sandView, type SandView } from '@/components/Sand/sandView';
import type { Arena, PointM, SandPlace } from '@/core';
import { max } from 'd3-array';
import { scaleSqrt } from 'd3-scale';
import classes from './SandMap.module.css';

type SandMapProps = { arena: Arena; places: readonly SandPlace[]; spots: readonly PointM[] };

/** Spots of one place are drawn a little apart, so that many look like many. */
const APART_M = 0.5;
/** The largest disc, metres. */
const LARGEST_M = 2.4;

/** Small discs over large ones, and what stands out over everything. */
const bySize = (a: SandPlace, b: SandPlace) => Number(a.standsOut) - Number(b.standsOut) || b.visits - a.visits;

/** The arena with every place that is ridden over: how often, how often something went wrong, and what stands out. */
export function SandMap({ arena, places, spots }: SandMapProps) {
  const view = sandView(arena, 'along');
  const radius = scaleSqrt([0, max(places, ({ visits }) => visits) ?? 1], [0, LARGEST_M]);
  const words = places.filter(({ standsOut }) => standsOut).length;
  return (
    <div className={classes.map}>
      <Sand
        arena={arena}
        view={view}
        label={`The sand with ${places.length} places that are ridden over; ${words} ${words === 1 ? 'stands' : 'stand'} out`}
      >
        {/* One path for all: after some seasons there are thousands. */}
        {spots.length > 0 && (
          <path d={spots.map((spot, index) => crossPath(view, spot, index)).join('')} className={classes.spot} />
        )}
        {[...places].sort(bySize).map(({ at, visits, troubles, standsOut }) => {
          const { x, y } = view.toPaper(at);
          const r = radius(visits);
          return (
            <g key={`${at.xM} ${at.yM}`} transform={`translate(${x} ${y})`}>
              <title>{`${troubles} of ${visits} went wrong`}</title>
              {standsOut && <circle r={r + 0.7} className={classes.ring} />}
              <circle r={r} className={classes.rides} />
              <circle r={r * Math.sqrt(troubles / visits)} className={classes.wrong} />
            </g>
          );
        })}
      </Sand>
    </div>
  );
}

/** A small cross at a spot; spots of one place turn about it. */
function crossPath(view: SandView, spot: PointM, index: number): string {
  const turn = index * 2.4;
  const apartM = APART_M * Math.sqrt((index % 7) / 3);
  const { x, y } = view.toPaper({ xM: spot.xM + apartM * Math.cos(turn), yM: spot.yM + apartM * Math.sin(turn) });
  return `M${(x - 0.3).toFixed(2)} ${(y - 0.3).toFixed(2)}l0.6 0.6m0 -0.6l-0.6 0.6`;
}
