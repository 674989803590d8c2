import type { Layout, PassRecord } from '@/core';
import { useEffect, useMemo, useState } from 'react';

/**
 * The layouts that passes were ridden over, by version: those that came with the page, and, asked for when a pass of another
 * one comes in, what was moved at the desk meanwhile.
 */
export function useVersions(
  first: Readonly<Record<string, Layout>>,
  passes: readonly Pick<PassRecord, 'layoutVersionId'>[],
): Readonly<Record<string, Layout>> {
  const [asked, setAsked] = useState<Record<string, Layout>>({});
  const layouts = useMemo(() => ({ ...asked, ...first }), [asked, first]);
  const missing = passes.find(({ layoutVersionId }) => !(layoutVersionId in layouts))?.layoutVersionId;
  useEffect(() => {
    if (missing === undefined) return;
    const stop = new AbortController();
    fetch(`/api/versions/${missing}`, { signal: stop.signal })
      .then(response => (response.ok ? (response.json() as Promise<{ layout: Layout }>) : null))
      .then(answer => answer && setAsked(before => ({ ...before, [missing]: answer.layout })))
      // Without a connection its passes are told without names until there is one.
      .catch(() => undefined);
    return () => stop.abort();
  }, [missing]);
  return layouts;
}
