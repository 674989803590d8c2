'use client';

import { lazy, memo, Suspense, type ComponentType, type NamedExoticComponent } from 'react';
import { fetched, type Part } from './lazily';

/**
 * A part of a page that is drawn with it, and whose script comes after that of the rest: what it needs does not stand in the way. As
 * long as what it is given stays it is left as it was drawn; what changes before its script is there takes the drawing away. For parts of
 * pages only: in what stays over all pages it was tried, and the framework did not come to the next page.
 */
export function apart<Props extends object>(load: () => Promise<Part<Props>>): NamedExoticComponent<Props> {
  const known = knownToServer(load);
  const Fetched = lazy(() => fetched(load));
  function Apart(props: Props) {
    const Drawn = known.part ?? Fetched;
    return (
      <Suspense fallback={null}>
        <Drawn {...props} />
      </Suspense>
    );
  }
  return memo(Apart);
}

/** A server has a part before it draws the first page: none comes without it and moves when it is there. */
function knownToServer<Props extends object>(load: () => Promise<Part<Props>>) {
  const known: { part: ComponentType<Props> | null } = { part: null };
  if (typeof window === 'undefined')
    load().then(
      found => void (known.part = found.default),
      () => undefined,
    );
  return known;
}
