'use client';

import type { NumberInputProps } from '@mantine/core';
import { later } from '../later';
import { FieldStandIn } from './FieldStandIn';

/** A number, with what it may be: what minds it while it is typed comes after the page. */
export const NumberInput = later<NumberInputProps>(() => import('./numbers'), StandIn);

function StandIn({
  value,
  suffix = '',
  label,
  description,
  placeholder,
  error,
  size,
  w,
  maw,
  mt,
  ...props
}: NumberInputProps) {
  const says = value === undefined || value === '' ? '' : `${value}${suffix}`;
  return (
    <FieldStandIn
      {...{ label, description, placeholder, error, size, w, maw, mt, says }}
      aria-label={props['aria-label']}
    />
  );
}
