import { DISCLAIMER, POLE_WORK_CAUTIONS, type Caution } from '@/core';
import { IconAlertTriangle } from '@tabler/icons-react';
import classes from './CautionList.module.css';

type CautionListProps = {
  /** What the core found in this layout. */
  cautions: readonly Caution[];
};

/** Cautions of this layout first, then the ones that always hold, then who has the last word. */
export function CautionList({ cautions }: CautionListProps) {
  return (
    <section aria-label="Cautions" className={classes.box}>
      {cautions.map(caution => (
        <p key={caution.code} className={classes.found}>
          <IconAlertTriangle size={18} aria-hidden="true" />
          <span>
            <strong>{caution.text}</strong> {caution.mend}
          </span>
        </p>
      ))}
      <ul className={classes.always}>
        {POLE_WORK_CAUTIONS.map(text => (
          <li key={text}>{text}</li>
        ))}
      </ul>
      <p className={classes.disclaimer}>{DISCLAIMER}</p>
    </section>
  );
}
