'use client';

import { lazy, Suspense, useSyncExternalStore, type ComponentType } from 'react';
import { fetched, type Part } from './lazily';

const never = () => () => undefined;

/**
 * A part that is seen from the start and needs much to be alive: what stands in for it comes with the page and looks as it will; it is
 * fetched as soon as the page is alive, and takes its place.
 */
export function later<Props extends object>(
  load: () => Promise<Part<Props>>,
  StandIn: ComponentType<Props>,
): ComponentType<Props> {
  const Alive = lazy(() => fetched(load));
  return function Later(props: Props) {
    const isAlive = useSyncExternalStore(
      never,
      () => true,
      () => false,
    );
    const standIn = <StandIn {...props} />;
    return isAlive ? (
      <Suspense fallback={standIn}>
        <Alive {...props} />
      </Suspense>
    ) : (
      standIn
    );
  };
}
