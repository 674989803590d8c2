import { PassEditor } from '@/app/ride/_components/record/PassEditor';
import type { PassEditorProps } from '@/app/ride/_components/record/passEditorProps';
import { askedRide } from '@/app/ride/askedRide';
import { yardTime } from '@/app/_server/yardTime';
import type { Pair } from '@/data/queries/pairs';
import type { Ride } from '../_state/useRide';

/** What a pass of a ride by itself is put right with. */
export type PutRight = Pick<PassEditorProps, 'layout' | 'questions' | 'timeZone' | 'rules' | 'pairs'> & {
  horse: NonNullable<PassEditorProps['horse']>;
};

type RidePutRightProps = PutRight & { ride: Ride; pair: Pair; passId: string; onClose: () => void };

/** A pass of a ride by itself, put right as one of a lesson is. */
export function RidePutRight({ ride, pair, passId, onClose, ...given }: RidePutRightProps) {
  const { layout, horse, pairs, timeZone } = given;
  return (
    <PassEditor
      {...given}
      {...{ passId, onClose }}
      log={ride.log}
      names={{
        log: ride.log,
        pairOf: id => pairs.find(one => one.id === id)?.name ?? `${pair.horseName} with ${pair.riderName}`,
        timeOf: atMs => yardTime(atMs, timeZone, 'ddd D MMM YYYY, HH:mm'),
        rideOf: ({ question }) => askedRide(layout, question, horse),
      }}
      stages={[]}
      homeFacingDeg={null}
      ready={ride.ready}
      onSay={ride.record}
    />
  );
}
