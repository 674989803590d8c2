import { Button, type ButtonProps } from '@mantine/core';
import { IconPrinter } from '@tabler/icons-react';
import type { ComponentPropsWithRef } from 'react';

/** The key that what comes on paper is under. */
export function PaperKey(props: ButtonProps & ComponentPropsWithRef<'button'>) {
  return (
    <Button leftSection={<IconPrinter size={16} />} {...props}>
      On paper
    </Button>
  );
}
