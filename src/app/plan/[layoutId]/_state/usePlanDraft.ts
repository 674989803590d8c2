import type { Arena } from '@/core';
import { notifications } from '@mantine/notifications';
import { useEffect, useRef, useState } from 'react';
import type { Edited } from './autosaver';
import { readDraft } from './draft';

/**
 * Brings back, when the page opens, what this device kept of the layout and the server never took.
 * @returns the kept version, if the layout was saved elsewhere since: then the reader has to choose
 */
export function usePlanDraft(
  layoutId: string,
  revision: number,
  arena: Arena,
  put: (edited: Edited) => void,
): Edited | null {
  const [outdated, setOutdated] = useState<Edited | null>(null);
  const looked = useRef(false);
  useEffect(() => {
    if (looked.current) return;
    looked.current = true;
    void readDraft(layoutId, arena).then(draft => {
      if (!draft) return;
      if (draft.baseRevision !== revision) return setOutdated(draft);
      put({ name: draft.name, plan: draft.plan });
      notifications.show({ message: 'Brought back what had not been saved when this page was left.' });
    });
  }, [layoutId, revision, arena, put]);
  return outdated;
}
