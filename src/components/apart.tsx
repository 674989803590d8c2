'use client';

import { lazy, memo, Suspense, type NamedExoticComponent } from 'react';
import { fetched, type Part } from './lazily';

/**
 * A part of a page that is drawn with it, and whose script comes after that of the rest: what it needs does not stand in the way. As
 * long as what it is given stays it is left as it was drawn; what changes before its script is there takes the drawing away.
 */
export function apart<Props extends object>(load: () => Promise<Part<Props>>): NamedExoticComponent<Props> {
  const Drawn = lazy(() => fetched(load));
  function Apart(props: Props) {
    return (
      <Suspense fallback={null}>
        <Drawn {...props} />
      </Suspense>
    );
  }
  return memo(Apart);
}
