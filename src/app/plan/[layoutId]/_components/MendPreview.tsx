import { ItemDrawing } from '@/components/Sand/ItemDrawing';
import type { SandView } from '@/components/Sand/sandView';
import { chainPath } from '@/components/Sand/trackPath';
import { distanceM, type Item } from '@/core';
import type { OfferedChange } from '../_state/offeredMend';
import classes from './MendPreview.module.css';

type MendPreviewProps = { mend: OfferedChange; view: SandView };

/** What a mend or a fit would do, drawn beside what stands: where things would go, what would be taken away, how one would ride. */
export function MendPreview({ mend, view }: MendPreviewProps) {
  const { after, of, tracks } = mend;
  const before = of.resolved.layout.items;
  const stands = new Map(before.map(item => [item.id, item]));
  const changed = after.items.filter(item => stands.get(item.id) !== item);
  const gone = before.filter(({ id }) => !after.items.some(item => item.id === id));
  return (
    <g className={classes.preview} data-mend="">
      {tracks.map((track, index) => {
        const was = of.tracks[index];
        if (track.kind !== 'items') return null;
        return track.legs.map((leg, at) => {
          const now = chainPath(view, leg.chain);
          const old = was?.kind === 'items' && was.legs[at] ? chainPath(view, was.legs[at].chain) : '';
          return now === old ? null : <path key={`${track.id} ${at}`} d={now} className={classes.way} />;
        });
      })}
      {changed.map(item => (
        <g key={item.id}>
          <Arrow from={stands.get(item.id)} to={item} view={view} />
          <ItemDrawing item={item} view={view} />
        </g>
      ))}
      {gone.map(item => (
        <Crossed key={item.id} item={item} view={view} />
      ))}
    </g>
  );
}

/** From where it stands to where it would. */
function Arrow({ from, to, view }: { from: Item | undefined; to: Item; view: SandView }) {
  if (!from || distanceM(from.at, to.at) < 0.05) return null;
  const [a, b] = [view.toPaper(from.at), view.toPaper(to.at)];
  return <line x1={a.x} y1={a.y} x2={b.x} y2={b.y} className={classes.arrow} />;
}

/** What would be taken away. */
function Crossed({ item, view }: { item: Item; view: SandView }) {
  const { x, y } = view.toPaper(item.at);
  const arm = 0.7;
  return (
    <path
      d={`M${x - arm} ${y - arm}L${x + arm} ${y + arm}M${x - arm} ${y + arm}L${x + arm} ${y - arm}`}
      className={classes.cross}
    />
  );
}
