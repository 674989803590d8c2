'use client';

import { useLinkStatus } from 'next/link';
import classes from './Going.module.css';

/** Within a link: poles one after the other while the page that it leads to is on its way, where that takes longer than a moment. */
export function Going() {
  const { pending } = useLinkStatus();
  return pending ? <span className={classes.going} data-going="" aria-hidden="true" /> : null;
}
