'use client';

import { Modal as MantineModal, type ModalProps } from '@mantine/core';
import { useFocusGivenBack } from './useFocusGivenBack';

/** Something that lies over the page until it is closed; then the focus is where it was. */
export function Modal(props: ModalProps) {
  useFocusGivenBack();
  return <MantineModal {...props} />;
}
