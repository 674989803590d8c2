'use client';

import { theme } from '@/components/theme';
import { MantineProvider } from '@mantine/core';
import type { ReactNode } from 'react';

/** The look of all pages. @param nonce - by which the page's policy lets its styles in */
export function Styled({ nonce, children }: { nonce: string | undefined; children: ReactNode }) {
  return (
    <MantineProvider theme={theme} forceColorScheme="light" getStyleNonce={() => nonce ?? ''}>
      {children}
    </MantineProvider>
  );
}
