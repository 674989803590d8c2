'use client';

import { Button } from '@mantine/core';

/** Prints the page. */
export function PrintButton() {
  return <Button onClick={() => window.print()}>Print</Button>;
}
