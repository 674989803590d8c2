'use client';

import type { ModalProps } from '@mantine/core';
import { lazily } from '../lazily';
import { useFocusGivenBack } from './useFocusGivenBack';

/** What lies over a page comes when the first of it is opened: pages are sooner there without. */
const OverPage = lazily(() => import('./OverPage'));

/** Something that lies over the page until it is closed; then the focus is where it was. */
export function Modal(props: ModalProps) {
  useFocusGivenBack();
  return <OverPage {...props} />;
}
