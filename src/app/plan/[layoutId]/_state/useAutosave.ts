import type { LayoutSaveAnswer } from '@/files/layoutSave';
import { writePlan } from '@/files/planPaper';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { createAutosaver, type Edited, type SaveStatus, type Sent } from './autosaver';
import { dropDraft, keepDraft } from './draft';

/** Saves the layout that is edited by itself; says whether what is on the screen is in the database. */
export function useAutosave(layoutId: string, revision: number, first: Edited, present: Edited): SaveStatus {
  const [saver] = useState(() =>
    createAutosaver({
      revision,
      saved: first,
      send: (baseRevision, edited) => send(layoutId, baseRevision, edited),
      keepDraft: (baseRevision, edited) => keepDraft(layoutId, baseRevision, edited),
      dropDraft: () => dropDraft(layoutId),
    }),
  );
  useEffect(() => saver.put(present), [saver, present]);
  useEffect(() => {
    window.addEventListener('pagehide', saver.flush);
    return () => {
      window.removeEventListener('pagehide', saver.flush);
      saver.flush();
    };
  }, [saver]);
  return useSyncExternalStore(saver.subscribe, saver.status, saver.status);
}

async function send(layoutId: string, baseRevision: number, { name, plan }: Edited): Promise<Sent> {
  try {
    const response = await fetch(`/api/layouts/${layoutId}`, {
      method: 'PUT',
      keepalive: true,
      headers: { 'content-type': 'application/json' },
      body: JSON.stringify({ baseRevision, name, plan: writePlan(plan) }),
    });
    const answer = (await response.json()) as LayoutSaveAnswer;
    return answer.kind === 'refused' && response.status === 503 ? { ...answer, kind: 'waiting' } : answer;
  } catch {
    return { kind: 'waiting', problem: 'Not saved yet: the server does not answer. Roan keeps trying.' };
  }
}
