import { layoutLabels } from '@/core';
import { Button } from '@mantine/core';
import type { DeskAct } from '../_state/desk';
import { dropLast } from '../_state/planDeeds';
import type { PlanControls } from '../_state/usePlanEditor';
import classes from './PlanEditor.module.css';

type RidingHintProps = { controls: PlanControls; trackId: string; act: (act: DeskAct) => void };

/** While a track is laid: what to tap, and how it is ended. */
export function RidingHint({ controls, trackId, act }: RidingHintProps) {
  const { layout } = controls.shown.resolved;
  // Before its first stop it is not there yet.
  const isLaid = layout.tracks.some(({ id }) => id === trackId);
  return (
    <div className={classes.ridingHint} role="status">
      <span>
        {isLaid ? layoutLabels(layout).track(trackId) : 'A new track'}: tap fences and poles in their order, each from
        the side one comes from.
      </span>
      <Button size="xs" variant="default" disabled={!isLaid} onClick={() => dropLast(trackId, controls)}>
        Take the last away
      </Button>
      <Button size="xs" onClick={() => act({ do: 'end track' })}>
        End the track
      </Button>
    </div>
  );
}
