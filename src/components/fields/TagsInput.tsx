'use client';

import type { TagsInputProps } from '@mantine/core';
import { later } from '../later';
import { FieldStandIn } from './FieldStandIn';

/** A few words of one's own: what floats comes after the page. */
export const TagsInput = later<TagsInputProps>(
  () => import('./choosing').then(({ TagsInput: Alive }) => ({ default: Alive })),
  StandIn,
);

function StandIn(props: TagsInputProps) {
  return <FieldStandIn of={props} says={(props.value ?? []).join(', ')} />;
}
