'use client';

import type { SelectProps } from '@mantine/core';
import { later } from '../later';
import { FieldStandIn } from './FieldStandIn';

/** One of many, found by typing: what floats and scrolls comes after the page. */
export const Select = later<SelectProps>(
  () => import('./choosing').then(({ Select: Alive }) => ({ default: Alive })),
  StandIn,
);

function StandIn({ data, value, label, description, placeholder, error, size, w, maw, mt, ...props }: SelectProps) {
  const chosen = (data ?? []).find(one => typeof one !== 'string' && 'value' in one && one.value === value);
  const says = typeof chosen === 'object' && 'label' in chosen ? chosen.label : (value ?? '');
  return (
    <FieldStandIn
      {...{ label, description, placeholder, error, size, w, maw, mt, says }}
      aria-label={props['aria-label']}
    />
  );
}
