'use client';

import { Button, type ButtonProps } from '@mantine/core';
import Link from 'next/link';
import type { ReactNode } from 'react';

/** A link that looks like a button. */
export function LinkButton({ href, children, ...props }: ButtonProps & { href: string; children: ReactNode }) {
  return (
    <Button component={Link} href={href} {...props}>
      {children}
    </Button>
  );
}
