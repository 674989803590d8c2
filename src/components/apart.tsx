'use client';

import { Activity, lazy, memo, Suspense, useState, useSyncExternalStore, type ComponentType } from 'react';
import { fetched, type Part } from './lazily';

/**
 * A part of a page that is drawn with it, and whose script comes after that of the rest: what it needs does not stand in the way. As
 * long as what it is given stays it is left as it was drawn; what changes before its script is there takes the drawing away. For parts of
 * pages only: in what stays over all pages it was tried, and the framework did not come to the next page.
 */
export function apart<Props extends object>(load: () => Promise<Part<Props>>): ComponentType<Props> {
  const known = knownToServer(load);
  const Fetched = lazy(() => fetched(load));
  const Drawn = drawn<Props>(props => {
    const Known = known.part ?? Fetched;
    return <Known {...props} />;
  });
  function Apart(props: Props) {
    if (useIsFirst()) return <Drawn {...props} />;
    return (
      <Suspense fallback={null}>
        <Fetched {...props} />
      </Suspense>
    );
  }
  return Apart;
}

/**
 * All of a page, drawn with what stays over every page and alive after it. Its script is asked for as soon as the head of the page is read
 * (`dynamic` says so there). Whoever comes from another page sees that one until this is there.
 * @param Page - made by `dynamic`, which has to be called where the file is named
 * @returns no `memo`: what a server names anew each time that a page is asked for is the same to React only as a plain function
 */
export function pageApart<Props extends object>(Page: ComponentType<Props>): ComponentType<Props> {
  const Drawn = drawn(Page);
  return function PageApart(props: Props) {
    return useIsFirst() ? <Drawn {...props} /> : <Page {...props} />;
  };
}

/**
 * What is alive by itself, later than what stands round it. Where a Suspense would stand a server puts what is large at the end of the page,
 * and it is shown a third of a second later; so it stands in its place. It is not made anew when what stands round it is, which would
 * take what the server drew away until its script is there.
 */
function drawn<Props extends object>(What: ComponentType<Props>): ComponentType<Props> {
  function Drawn(props: Props) {
    return (
      <Activity>
        <What {...props} />
      </Activity>
    );
  }
  return memo(Drawn) as unknown as ComponentType<Props>;
}

const never = () => () => undefined;

/** Whether this came with the page from the server, and did not come to a page that was alive. */
function useIsFirst(): boolean {
  const isHydrated = useSyncExternalStore(
    never,
    () => true,
    () => false,
  );
  const [cameLater] = useState(isHydrated);
  return !cameLater;
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
