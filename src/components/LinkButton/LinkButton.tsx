'use client';

import { Going } from '@/components/Going/Going';
import { Button, type ButtonProps } from '@mantine/core';
import Link from 'next/link';
import type { ReactNode } from 'react';

/** `scroll`: false where the page stays as far down as it is. */
type LinkButtonProps = ButtonProps & { href: string; children: ReactNode; scroll?: boolean };

/** A link that looks like a button. */
export function LinkButton({ href, children, ...props }: LinkButtonProps) {
  return (
    <Button component={Link} href={href} {...props}>
      {children}
      <Going />
    </Button>
  );
}
