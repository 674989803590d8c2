import { Said } from '@/components/Lengths/LengthsProvider';
import type { Claim } from '@/core';
import classes from './Claims.module.css';

type ClaimsProps = {
  claims: readonly Claim[];
  /** What is said where nothing stands out. */
  none: string;
};

/** What the record says, each sentence with what it rests on. */
export function Claims({ claims, none }: ClaimsProps) {
  return (
    <section aria-label="What the record says" className={classes.claims}>
      {claims.length === 0 && <p>{none}</p>}
      {claims.map(({ text, because }) => (
        <details key={text}>
          <summary>
            <Said>{text}</Said>
          </summary>
          <p>
            <Said>{because}</Said>
          </p>
        </details>
      ))}
      {claims.length > 0 && (
        <p className={classes.hedge}>
          What a record suggests, not what is proven: choose each to see what it rests on. Look at the horse first.
        </p>
      )}
    </section>
  );
}
