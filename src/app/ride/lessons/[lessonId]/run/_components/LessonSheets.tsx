'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { MoreOver } from '@/app/ride/_components/pad/MoreOver';
import { Sheet } from '@/app/ride/_components/pad/Sheet';
import type { Pad } from '@/app/ride/_state/pad/usePad';
import { isOfGaited, type AskedRide } from '@/app/ride/askedRide';
import { tapWords } from '@/app/ride/recordWords';
import { tapHistory } from '@/core';
import { lazily } from '@/components/lazily';
import dynamic from 'next/dynamic';
import type { First } from './dayParts';
import type { LessonPadProps } from './runProps';

const CallSheet = dynamic(() => import('@/components/CallSheet/CallSheet'), { ssr: false });

/** Fetched beside the pad as it begins: it is there without a server, and no tap waits for it. */
const DayOver = lazily(() => import('./DayOver'), { atOnce: true });

/** What lies over the pad. */
export type Opened = 'day' | 'more' | 'call' | null;

type LessonSheetsProps = LessonPadProps & {
  pad: Pad;
  ride: AskedRide | null;
  /** Says what was counted before a change begins another pass. */
  saidFirst: First;
  opened: Opened;
  onOpen: (opened: Opened) => void;
};

/** What is seldom marked, all that is changed on the day, and the course read aloud size. */
export function LessonSheets({ pad, ride, saidFirst, opened, onOpen, ...props }: LessonSheetsProps) {
  const say = useSay();
  const { run, rules, names } = props;
  const { lesson, question } = run;
  const close = () => onOpen(null);
  const taps = tapHistory(lesson.log, 'all').undo;
  const last = taps[taps.length - 1];
  return (
    <>
      <Sheet
        title={pad.step ? `More to mark: ${pad.step.words}` : 'More to mark'}
        opened={opened === 'more'}
        onClose={close}
      >
        <MoreOver
          {...{ pad, faults: rules.faults, riderMarks: rules.riderMarks, ready: lesson.ready }}
          onMark={said => run.mark(said)}
          gait={question?.gait ?? 'canter'}
          isGaited={isOfGaited(ride)}
        />
      </Sheet>
      <DayOver
        {...props}
        {...{ saidFirst }}
        opened={opened === 'day'}
        onCall={() => onOpen('call')}
        onClose={close}
        undo={last ? { words: say(tapWords(names, last)), onUndo: () => lesson.reverse(last) } : null}
      />
      {opened === 'call' && ride?.track && (
        <CallSheet layout={ride.asked} track={ride.track.planned} reckoned={ride.track.reckoned} onClose={close} />
      )}
    </>
  );
}
