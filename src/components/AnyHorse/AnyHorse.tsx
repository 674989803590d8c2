import type { ReactNode } from 'react';
import classes from './AnyHorse.module.css';

type AnyHorseProps = {
  /** What of the layout depends on who rides, in words that follow "for a horse of 160 cm". */
  matters: string;
  /** How somebody is chosen. */
  children?: ReactNode;
};

/** Said where a layout is for nobody in particular, and it matters who rides. */
export function AnyHorse({ matters, children }: AnyHorseProps) {
  return (
    <p className={classes.note} role="note">
      <strong>For any horse.</strong> Nobody is chosen, so it is laid out for a horse of 160 cm{matters} {children}
    </p>
  );
}
