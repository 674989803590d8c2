'use client';

import dynamic from 'next/dynamic';
import { fetched } from '@/components/lazily';
import { pageApart } from '@/components/apart';
import type { RidePadProps } from './ridePadProps';

// It is wanted whatever comes: while the page round it comes alive its script is read already.
if (typeof window !== 'undefined') import('./RidePad').catch(() => undefined);

/** A tap on its keys is kept from the first moment: the script that counts it comes behind the page. */
export const RidePadApart = pageApart(
  dynamic<RidePadProps>(() => fetched(() => import('./RidePad').then(part => ({ default: part.RidePad })))),
);
