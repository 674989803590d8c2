'use client';

import { Said } from '@/components/Lengths/LengthsProvider';
import { AskedShown } from '@/components/AskedPicture/AskedShown';
import { useSuggested } from '@/app/ride/next/_state/useSuggested';
import Link from 'next/link';
import classes from './Today.module.css';

type NextForEachProps = {
  pairs: readonly { id: string; horse: string; rider: string }[];
  arenaId: string;
  /** By the yard's own clock. */
  startsAt: string;
};

/** Without its warm-up. */
const LESSON_MIN = 40;

/** One suggestion for each pair: its picture, its reason, and the way to the others. */
export function NextForEach({ pairs, arenaId, startsAt }: NextForEachProps) {
  const pairIds = pairs.map(({ id }) => id);
  const { suggested } = useSuggested({ pairIds, arenaId, startsAt, minutes: LESSON_MIN, each: true });
  return (
    <section aria-label="What each pair could ride next">
      <h2>What each could ride next</h2>
      {suggested?.kind === 'waiting' && <p role="status">Looking through the record …</p>}
      {suggested?.kind === 'failed' && <p role="alert">{suggested.problem}</p>}
      {suggested?.kind === 'done' && (
        <ul className={classes.suggestions}>
          {suggested.of.map(({ pairIds: [id], suggestions: [best], tooLittle }) => {
            const pair = pairs.find(one => one.id === id);
            if (!pair) return null;
            return (
              <li key={id}>
                <div className={classes.small}>{best?.show && <AskedShown show={best.show} isSmall />}</div>
                <div>
                  <strong>
                    <Link href={`/review/${pair.id}`}>{pair.horse}</Link>
                  </strong>
                  {best ? (
                    <>
                      :{' '}
                      <Link href={`/ride/next?pair=${pair.id}`}>
                        <Said>{best.title}</Said>
                      </Link>
                      <p className={classes.quiet}>
                        <Said>{best.why}</Said>
                      </p>
                    </>
                  ) : (
                    <p className={classes.quiet}>{tooLittle ?? 'Nothing can be asked tomorrow within the limits.'}</p>
                  )}
                </div>
              </li>
            );
          })}
        </ul>
      )}
    </section>
  );
}
