import { apart } from '@/components/apart';
import { useSay } from '@/components/Lengths/LengthsProvider';
import { useEarlyTaps } from '@/app/ride/_state/pad/useEarlyTaps';
import { DISCLAIMER } from '@/core';
import classes from './RunLesson.module.css';

const PadHelp = apart(() => import('@/components/Help/helps').then(m => ({ default: m.PadHelp })));

type CautionGateProps = { name: string; cautions: readonly string[]; ready: boolean; onRead: () => void };

/** The cautions of a lesson, read once before anybody rides. */
export function CautionGate({ name, cautions, ready, onRead }: CautionGateProps) {
  const say = useSay();
  const early = useEarlyTaps(ready);
  return (
    <section className={classes.run} aria-label="Before anybody rides" {...early}>
      <header className={classes.head}>
        <p>{name}</p>
        <h1>Before anybody rides</h1>
      </header>
      <ul className={classes.passes}>
        {cautions.map(caution => (
          <li key={caution}>{say(caution)}</li>
        ))}
      </ul>
      <p>{DISCLAIMER}</p>
      <p>Begin once all of this is in order.</p>
      <button type="button" className={classes.main} data-early="begin" onClick={() => ready && onRead()}>
        Begin the lesson
      </button>
      <PadHelp />
    </section>
  );
}
