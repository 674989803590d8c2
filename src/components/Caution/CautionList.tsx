'use client';

import { useLengths } from '../Lengths/LengthsProvider';
import { DISCLAIMER, usualCautions, type Caution, type Item } from '@/core';
import type { ReactNode } from 'react';
import { IconAlertTriangle } from '@tabler/icons-react';
import classes from './CautionList.module.css';

type CautionListProps = {
  /** What the core found in this layout. */
  cautions: readonly Caution[];
  /** What lies on the sand: what always holds depends on it. */
  items: readonly Pick<Item, 'kind'>[];
  /** What can be done about one, beside it. */
  action?: (caution: Caution) => ReactNode;
  onPoint?: (caution: Caution | null) => void;
};

const LEVEL_WORDS = { stop: 'Stop.', warn: 'Take care.', note: 'Note.' } as const;

/** Cautions of this layout first, then the ones that always hold, then who has the last word. */
export function CautionList({ cautions, items, action, onPoint }: CautionListProps) {
  const { say } = useLengths();
  return (
    <section aria-label="Cautions" className={classes.box}>
      {cautions.map((caution, index) => (
        <div
          key={`${caution.code} ${index}`}
          className={classes.found}
          data-level={caution.level}
          onPointerEnter={() => onPoint?.(caution)}
          onPointerLeave={() => onPoint?.(null)}
          onFocus={() => onPoint?.(caution)}
          onBlur={() => onPoint?.(null)}
        >
          <IconAlertTriangle size={18} aria-hidden="true" />
          <span>
            <em>{LEVEL_WORDS[caution.level]}</em> <strong>{say(caution.text)}</strong> {say(caution.mend)}
            {action?.(caution)}
          </span>
        </div>
      ))}
      <ul className={classes.always}>
        {usualCautions(items).map(text => (
          <li key={text}>{text}</li>
        ))}
      </ul>
      <p className={classes.disclaimer}>{DISCLAIMER}</p>
    </section>
  );
}
