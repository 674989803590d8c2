'use client';

import { SegmentedControl, type SegmentedControlProps } from '@mantine/core';
import { useEffect, useRef } from 'react';
import classes from './Choice.module.css';

/**
 * One of a few, all of them in sight. What was chosen before the page was alive (a slow phone, a page that was kept) is taken as
 * it comes alive: the browser shows it as chosen, so that a second tap on it would say nothing.
 */
export function Choice<Value extends string = string>(props: SegmentedControlProps<Value>) {
  const root = useRef<HTMLDivElement>(null);
  const { value, onChange } = props;
  useEffect(() => {
    const early = root.current?.querySelector<HTMLInputElement>('input:checked')?.value;
    if (early !== undefined && early !== value) onChange?.(early as Value);
    // As it comes alive, and never again.
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  return (
    <SegmentedControl
      ref={root}
      withItemsBorders={false}
      classNames={{ root: classes.track, indicator: classes.pole, label: classes.word }}
      {...props}
    />
  );
}
