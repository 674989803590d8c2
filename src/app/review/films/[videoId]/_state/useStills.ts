import { newId } from '@/components/newId';
import { useState } from 'react';

export type Still = { id: string; atS: number };

type Answer = { ok: boolean; problem?: string | null };

/** The pictures out of a film: kept where the film stands, and taken out again. */
export function useStills(
  videoId: string,
  first: readonly Still[],
  send: (task: () => Promise<Answer>) => Promise<boolean>,
) {
  const [stills, setStills] = useState(first);
  const keep = (picture: () => Promise<Blob | null>, atS: number) =>
    send(async () => {
      const [body, still] = [await picture(), { id: newId(), atS }];
      if (!body) return { ok: false, problem: 'This browser does not give the picture away.' };
      const address = `/api/videos/${videoId}/stills?${new URLSearchParams({ id: still.id, at: String(atS) })}`;
      const answer = await answerOf(
        fetch(address, { method: 'POST', headers: { 'content-type': 'image/jpeg' }, body }),
      );
      if (answer.ok) setStills(before => [...before, still]);
      return answer;
    });
  const remove = (id: string) =>
    send(async () => {
      const answer = await answerOf(fetch(`/api/videos/${videoId}/stills/${id}`, { method: 'DELETE' }));
      if (answer.ok) setStills(before => before.filter(still => still.id !== id));
      return answer;
    });
  return { stills, keep, remove };
}

async function answerOf(asked: Promise<Response>): Promise<Answer> {
  const answer = await asked;
  if (answer.ok) return { ok: true };
  const said = (await answer.json().catch(() => null)) as { problem?: string } | null;
  return { ok: false, problem: said?.problem ?? 'Nothing was kept.' };
}
