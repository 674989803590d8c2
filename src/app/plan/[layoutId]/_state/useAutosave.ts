import { pageYard } from '@/components/pageYard';
import { NO_ANSWER, postJson } from '@/components/sync/post';
import type { LayoutSaveAnswer } from '@/files/layoutSave';
import { writePlan } from '@/files/planPaper';
import { useEffect, useState, useSyncExternalStore } from 'react';
import { createAutosaver, type Edited, type SaveStatus, type Sent } from './autosaver';
import { dropDraft, keepDraft } from './draft';

/** Saves the layout that is edited by itself; says whether what is on the screen is in the database. */
export function useAutosave(layoutId: string, revision: number, first: Edited, present: Edited): SaveStatus {
  const [saver] = useState(() => {
    let isKept = true;
    return createAutosaver({
      revision,
      saved: first,
      send: async (...save) => {
        const sent = await send(layoutId, ...save);
        return sent.kind === 'waiting' && !isKept ? { ...sent, problem: `${sent.problem} ${NOT_KEPT}` } : sent;
      },
      keepDraft: (baseRevision, edited) => {
        isKept = keepDraft(layoutId, baseRevision, edited);
      },
      dropDraft: () => dropDraft(layoutId),
    });
  });
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

const NOT_KEPT = 'This device’s storage does not take it either: leave the page open until it is saved.';

async function send(layoutId: string, baseRevision: number, { name, plan }: Edited, saveId: string): Promise<Sent> {
  const sent = { baseRevision, name, plan: writePlan(plan), saveId };
  const posted = await postJson(`/api/layouts/${layoutId}`, sent, { method: 'PUT', yard: pageYard() });
  if (posted.kind === 'refused') return posted;
  if (posted.kind === 'no-answer') return { kind: 'waiting', problem: `Not saved yet. ${posted.problem}` };
  if (!('kind' in posted.body)) return { kind: 'waiting', problem: `Not saved yet. ${NO_ANSWER}` };
  return posted.body as LayoutSaveAnswer;
}
