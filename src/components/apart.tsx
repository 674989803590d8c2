'use client';

import { lazy, Suspense, type ComponentType } from 'react';
import { fetched, type Part } from './lazily';

/** A part of a page that is drawn with it, and whose script comes after that of the rest: what it needs does not stand in the way. */
export function apart<Props extends object>(load: () => Promise<Part<Props>>): ComponentType<Props> {
  const Drawn = lazy(() => fetched(load));
  return function Apart(props: Props) {
    return (
      <Suspense fallback={null}>
        <Drawn {...props} />
      </Suspense>
    );
  };
}
