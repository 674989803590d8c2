import type { Delivery } from './createSync';
import { postJson, NO_ANSWER } from './post';

/** What events are of, and with it where they are sent. */
export const lessonBox = (lessonId: string) => `lesson:${lessonId}`;
export const rideBox = (pairId: string, versionId: string) => `ride:${pairId}/${versionId}`;
export const testBox = (horseId: string) => `test:${horseId}`;
export const ticksBox = (layoutId: string) => `ticks:${layoutId}`;

/** What a page that shows a box knows of it, and wants to know. */
export type OpenBox = {
  /** The number of the last answer that it had. */
  after?: () => number;
  answered: (body: Record<string, unknown>) => void;
};

type BoxKind = {
  /** What a person calls it. */
  words: string;
  /** Where it is shown. */
  href: (id: string) => string;
  send: (id: string, events: readonly unknown[], open: OpenBox | undefined) => { url: string; body: object };
  /** What an answer of Roan has: anything else is none. */
  answerHas: string;
};

const KINDS: Readonly<Record<string, BoxKind>> = {
  lesson: {
    words: 'A lesson',
    href: id => `/ride/lessons/${id}/run`,
    send: (id, events, open) => ({
      url: '/api/record',
      body: {
        ...(open && { lessonId: id, after: open.after?.() }),
        ...{ events, sentAtMs: Date.now() },
      },
    }),
    answerHas: 'taken',
  },
  ride: {
    words: 'A single ride',
    href: id => `/ride/${id.split('/').reverse().join('/')}`,
    send: (_, events) => ({ url: '/api/record', body: { lessonId: null, events, sentAtMs: Date.now() } }),
    answerHas: 'taken',
  },
  ticks: {
    words: 'What stands on the sand',
    href: id => `/set/${id}`,
    send: (id, ticks, open) => ({
      url: `/api/layouts/${encodeURIComponent(id)}/ticks`,
      body: { ticks, sentAtMs: Date.now(), after: open?.after?.() },
    }),
    answerHas: 'ticks',
  },
  test: {
    words: 'A stride test',
    href: id => `/yard/horses/${id}/test`,
    send: (_, tests) => ({ url: '/api/stride-tests', body: { tests, sentAtMs: Date.now() } }),
    answerHas: 'taken',
  },
};

function kindOf(box: string): { kind: BoxKind | undefined; id: string } {
  const at = box.indexOf(':');
  return { kind: KINDS[box.slice(0, at)], id: box.slice(at + 1) };
}

/** What a box is, and where it is shown; of a kind that this Roan does not know, only that. */
export function boxWords(box: string): { words: string; href: string | null } {
  const { kind, id } = kindOf(box);
  return kind ? { words: kind.words, href: kind.href(id) } : { words: 'Something of a newer Roan', href: null };
}

/**
 * Sends events of a box to where they belong.
 * @param yard - the yard that they were tapped in
 */
export async function deliverBox(
  box: string,
  events: readonly unknown[],
  open: OpenBox | undefined,
  yard?: string,
): Promise<Delivery> {
  const { kind, id } = kindOf(box);
  if (!kind) return { kind: 'never', problem: 'This Roan does not know what that is of.' };
  const { url, body } = kind.send(id, events, open);
  const posted = await postJson(url, body, { yard });
  if (posted.kind === 'refused') return { kind: 'never', problem: posted.problem };
  if (posted.kind === 'no-answer') return { kind: 'later', problem: posted.problem };
  if (!(kind.answerHas in posted.body)) return { kind: 'later', problem: NO_ANSWER };
  open?.answered(posted.body);
  return { kind: 'taken' };
}
