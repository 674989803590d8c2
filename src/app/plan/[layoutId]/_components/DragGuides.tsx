import { useLengths } from '@/components/Lengths/LengthsProvider';
import type { SandView } from '@/components/Sand/sandView';
import { distanceM, wallName, type Arena, type PointM, type Wall } from '@/core';
import type { DragView } from '../_state/useSandGestures';
import { nearestOther } from '../_state/thingsShown';
import type { PlanControls } from '../_state/usePlanEditor';
import classes from './PlanSand.module.css';

type DragGuidesProps = {
  drag: DragView;
  controls: PlanControls;
  arena: Arena;
  view: SandView;
  textM: number;
  ids: readonly string[];
};

/** While something is dragged: what draws it, and how far it is from two walls and from its nearest neighbour. */
export function DragGuides({ drag, controls, arena, view, textM, ids }: DragGuidesProps) {
  const { layout } = controls.shown.resolved;
  const item = layout.items.find(({ id }) => id === drag.item);
  if (!item) return null;
  const other = nearestOther(layout.items, item, ids);
  const { x, y } = view.toPaper(item.at);
  return (
    <g className={classes.guides} aria-hidden="true">
      {drag.guides.map(guide =>
        guide.kind === 'line' ? (
          <GuideLine key={guide.words} from={guide.from} to={guide.to} view={view} className={classes.pull} />
        ) : (
          <Ring key={guide.words} centre={guide.centre} radiusM={guide.radiusM} view={view} />
        ),
      )}
      {wallsBeside(arena, item.at).map(({ wall, to }) => (
        <Measure key={wall} from={item.at} to={to} view={view} textM={textM} after={` from ${wallName(arena, wall)}`} />
      ))}
      {other && <Measure from={item.at} to={other.at} view={view} textM={textM} after={` to ${other.id}`} />}
      <text x={x} y={y - textM * 1.9} fontSize={textM} className={classes.drawnTo}>
        {[...(drag.words ? [drag.words] : []), ...drag.guides.map(({ words }) => words)].join(' · ')}
      </text>
    </g>
  );
}

/** The nearer of the long and of the short sides. */
function wallsBeside(arena: Arena, { xM, yM }: PointM): { wall: Wall; to: PointM }[] {
  const left = xM <= arena.widthM / 2;
  const near = yM <= arena.lengthM / 2;
  return [
    { wall: left ? 'left' : 'right', to: { xM: left ? 0 : arena.widthM, yM } },
    { wall: near ? 'near' : 'far', to: { xM, yM: near ? 0 : arena.lengthM } },
  ];
}

type LineProps = { from: PointM; to: PointM; view: SandView };

function GuideLine({ from, to, view, className }: LineProps & { className: string | undefined }) {
  const [a, b] = [view.toPaper(from), view.toPaper(to)];
  return <line x1={a.x} y1={a.y} x2={b.x} y2={b.y} className={className} />;
}

function Measure({ from, to, view, textM, after }: LineProps & { textM: number; after: string }) {
  const { format } = useLengths();
  const [a, b] = [view.toPaper(from), view.toPaper(to)];
  return (
    <>
      <GuideLine from={from} to={to} view={view} className={classes.measure} />
      <text
        x={(a.x + b.x) / 2}
        y={(a.y + b.y) / 2 - textM * 0.4}
        fontSize={textM * 0.8}
        className={classes.measureText}
      >
        {format(distanceM(from, to))}
        {after}
      </text>
    </>
  );
}

function Ring({ centre, radiusM, view }: { centre: PointM; radiusM: number; view: SandView }) {
  const { x, y } = view.toPaper(centre);
  return <circle cx={x} cy={y} r={radiusM} className={classes.pull} />;
}
