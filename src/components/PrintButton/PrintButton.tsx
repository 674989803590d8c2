'use client';

import { Button } from '@mantine/core';

/** Prints the page as it is made for paper. */
export function PrintButton({ label = 'Print' }: { label?: string }) {
  return (
    <Button variant="default" onClick={() => window.print()}>
      {label}
    </Button>
  );
}
