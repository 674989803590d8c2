import { newId } from '@/components/newId';
import type { Plan } from '@/core';
import type { LayoutSaveAnswer } from '@/files/layoutSave';

export type Edited = { name: string; plan: Plan };

export type SaveStatus =
  | { kind: 'saved' }
  | { kind: 'saving' }
  /** Not on the server yet; it is tried again by itself. */
  | { kind: 'waiting'; problem: string }
  /** The server will not have it; the next change is tried again. */
  | { kind: 'refused'; problem: string }
  /** Somebody saved in between: both versions are kept until the reader chooses. */
  | { kind: 'stale' };

/** How a save went: the server's answer, or that it could not be reached. */
export type Sent =
  Extract<LayoutSaveAnswer, { kind: 'saved' | 'stale' }> | { kind: 'refused' | 'waiting'; problem: string };

export type AutosaverOptions = {
  revision: number;
  /** What the server holds at that revision. */
  saved: Edited;
  /** `saveId` names what is saved: sent once more after a lost answer, it is the same save. */
  send: (baseRevision: number, edited: Edited, saveId: string) => Promise<Sent>;
  /** Keeps what is not on the server yet in another safe place. */
  keepDraft: (baseRevision: number, edited: Edited) => void;
  dropDraft: () => void;
  pauseMs?: number;
  tryAgainMs?: number;
};

export type Autosaver = {
  /** Tells it what is on the screen now. */
  put: (present: Edited) => void;
  status: () => SaveStatus;
  subscribe: (listener: () => void) => () => void;
  /** Saves at once what is not saved yet, without waiting for the pause. */
  flush: () => void;
};

/**
 * Saves what is edited by itself, a moment after each change, one save at a time. It watches the present state and not
 * the commands, so undo saves too.
 */
export function createAutosaver(options: AutosaverOptions): Autosaver {
  const { send, keepDraft, dropDraft, pauseMs = 350, tryAgainMs = 2000 } = options;
  let { revision, saved } = options;
  let present = saved;
  let status: SaveStatus = { kind: 'saved' };
  let busy = false;
  let named: { edited: Edited; revision: number; id: string } | null = null;
  let timer: ReturnType<typeof setTimeout> | undefined;
  const listeners = new Set<() => void>();

  const tell = (next: SaveStatus) => {
    status = next;
    listeners.forEach(listener => listener());
  };
  const schedule = (afterMs: number) => {
    clearTimeout(timer);
    timer = setTimeout(() => void save(), afterMs);
  };
  const save = async () => {
    if (busy || present === saved || status.kind === 'stale') return;
    busy = true;
    const sending = present;
    if (named?.edited !== sending || named.revision !== revision) named = { edited: sending, revision, id: newId() };
    const sent = await send(revision, sending, named.id).catch((): Sent => ({
      kind: 'waiting',
      problem: 'Not saved yet. Roan keeps trying.',
    }));
    busy = false;
    if (sent.kind === 'saved') {
      revision = sent.revision;
      saved = sending;
      if (present !== saved) return schedule(0);
      dropDraft();
      return tell({ kind: 'saved' });
    }
    tell(sent.kind === 'stale' ? { kind: 'stale' } : sent);
    if (sent.kind === 'waiting' || (sent.kind === 'refused' && present !== sending)) schedule(tryAgainMs);
  };

  return {
    put(next) {
      if (next === present) return;
      present = next;
      if (present === saved && !busy) {
        dropDraft();
        clearTimeout(timer);
        if (status.kind !== 'stale') tell({ kind: 'saved' });
        return;
      }
      keepDraft(revision, present);
      if (status.kind === 'stale') return;
      if (status.kind !== 'waiting') tell({ kind: 'saving' });
      schedule(pauseMs);
    },
    status: () => status,
    subscribe(listener) {
      listeners.add(listener);
      return () => listeners.delete(listener);
    },
    flush: () => void save(),
  };
}
