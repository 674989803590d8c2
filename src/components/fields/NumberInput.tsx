'use client';

import type { NumberInputProps } from '@mantine/core';
import { later } from '../later';
import { FieldStandIn } from './FieldStandIn';

/** A number, with what it may be: what minds it while it is typed comes after the page. */
export const NumberInput = later<NumberInputProps>(() => import('./numbers'), StandIn);

function StandIn(props: NumberInputProps) {
  const { value = '', suffix = '' } = props;
  return <FieldStandIn of={props} says={value === '' ? '' : `${value}${suffix}`} />;
}
