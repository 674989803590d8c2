'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import type { ReactNode } from 'react';

/** Keys that belong together, under what they are about. */
export function MarkGroup({ title, children }: { title: string; children: ReactNode }) {
  const say = useSay();
  return (
    <section>
      <h3>{say(title)}</h3>
      {children}
    </section>
  );
}
