'use client';

import type { SelectProps } from '@mantine/core';
import { later } from '../later';
import { FieldStandIn } from './FieldStandIn';

/** One of many, found by typing: what floats and scrolls comes after the page. */
export const Select = later<SelectProps>(
  () => import('./choosing').then(({ Select: Alive }) => ({ default: Alive })),
  StandIn,
);

function StandIn(props: SelectProps) {
  const { data, value } = props;
  const chosen = (data ?? []).find(one => typeof one !== 'string' && 'value' in one && one.value === value);
  const says = typeof chosen === 'object' && 'label' in chosen ? chosen.label : (value ?? '');
  return <FieldStandIn of={props} says={says} />;
}
