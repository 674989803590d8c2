import { newId } from '@/components/newId';
import type { FilmMark, TimedFilmMark } from '@/core';
import { useState } from 'react';
import { addFilmMarkAction, undoFilmMarkAction } from '../actions';

export type Said = { ok: boolean; words: string };
type Answer = { ok: boolean; problem?: string | null };

const NO_ANSWER = 'The server does not answer: nothing was kept.';

/** What was seen in a film: shown at once, and taken out again where the server does not keep it. */
export function useFilmMarks(videoId: string, first: readonly TimedFilmMark[]) {
  const [marks, setMarks] = useState(first);
  const [said, setSaid] = useState<Said | null>(null);
  /** Sends something; says what was refused, or what is done. */
  const send = async (task: () => Promise<Answer>, done?: string): Promise<boolean> => {
    const answer = await task().catch(() => null);
    if (!answer?.ok) setSaid({ ok: false, words: answer?.problem ?? NO_ANSWER });
    else setSaid(done === undefined ? null : { ok: true, words: done });
    return answer?.ok === true;
  };
  const add = async (atS: number, mark: FilmMark) => {
    const timed = { id: newId(), atS, ...mark };
    setMarks(before => [...before, timed].sort((a, b) => a.atS - b.atS));
    if (!(await send(() => addFilmMarkAction(videoId, { id: timed.id, atS, mark }))))
      setMarks(before => before.filter(({ id }) => id !== timed.id));
  };
  const undo = async (mark: TimedFilmMark) => {
    if (await send(() => undoFilmMarkAction(mark.id))) setMarks(before => before.filter(({ id }) => id !== mark.id));
  };
  return { marks, said, send, add, undo };
}
