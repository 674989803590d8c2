import type { Way } from '../_state/useRun';
import { Keys } from './Keys';

type SteeringProps = {
  way: Way;
  /** Whether it goes towards home as drawn; null where nobody has said which way home lies. */
  asDrawnHome: boolean | null;
  onSteer: (change: Partial<Way>) => void;
};

/** Which rein, and which way: towards home or from it. */
export function Steering({ way: { rein, direction }, asDrawnHome, onSteer }: SteeringProps) {
  const homeWords =
    asDrawnHome === null
      ? ['', '']
      : asDrawnHome
        ? [', towards home', ', from home']
        : [', from home', ', towards home'];
  return (
    <>
      <Keys
        label="Rein"
        value={rein}
        options={[
          { value: 'left', label: 'Left rein' },
          { value: 'right', label: 'Right rein' },
        ]}
        onChoose={value => onSteer({ rein: value })}
      />
      <Keys
        label="Direction"
        value={direction}
        options={[
          { value: 'as-drawn', label: `As drawn${homeWords[0]}` },
          { value: 'other-way', label: `Other way${homeWords[1]}` },
        ]}
        onChoose={value => onSteer({ direction: value })}
      />
    </>
  );
}
