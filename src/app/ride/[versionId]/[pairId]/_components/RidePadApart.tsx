'use client';

import dynamic from 'next/dynamic';
import { fetched } from '@/components/lazily';
import { pageApart } from '@/components/apart';
import type { RidePadProps } from './ridePadProps';

/** A tap on its keys is kept from the first moment: the script that counts it comes behind the page. */
export const RidePadApart = pageApart(
  dynamic<RidePadProps>(() => fetched(() => import('./RidePad').then(part => ({ default: part.RidePad })))),
);
