'use client';

import { theme } from '@/components/theme';
import { MantineProvider } from '@mantine/core';
import { setNonce } from 'get-nonce';
import { printedLight } from '@/components/colours/lightColours';
import { useEffect, useState, type ReactNode } from 'react';

/**
 * The look of all pages.
 * @param nonce - by which the page's policy lets its styles in: that of the first answer, which is the one that the browser holds to
 */
export function Styled({ nonce, children }: { nonce: string | undefined; children: ReactNode }) {
  const [first] = useState(() => {
    // What keeps the page from scrolling behind a dialog asks here.
    if (nonce !== undefined && typeof document !== 'undefined') setNonce(nonce);
    return nonce ?? '';
  });
  useEffect(printedLight, []);
  return (
    <MantineProvider theme={theme} defaultColorScheme="auto" getStyleNonce={() => first}>
      {children}
    </MantineProvider>
  );
}
