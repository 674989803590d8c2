import { newId } from '@/components/newId';

/** What is typed and not saved, kept on this device for the tab that it was typed in. */
export type Draft = { tab: string; atMs: number; value: unknown };

const PREFIX = 'roan-typed';
const TAB = 'roan-tab';
/** Another tab answers within so long, or is none. */
const ANSWER_MS = 200;

let tab: string | null = null;

/** Names this tab, as long as it is open. */
export function tabId(): string {
  tab ??= stored(() => sessionStorage.getItem(TAB)) ?? newId();
  const own = tab;
  stored(() => sessionStorage.setItem(TAB, own));
  return own;
}

const keyOf = (name: string, of: string) => `${PREFIX} ${name} ${of}`;

/** Keeps what is typed; false where this device does not take it. */
export function keepDraft(name: string, value: unknown): boolean {
  const draft: Draft = { tab: tabId(), atMs: Date.now(), value };
  return (
    stored(() => {
      localStorage.setItem(keyOf(name, draft.tab), JSON.stringify(draft));
      return true;
    }) === true
  );
}

/** Forgets what this tab kept, or another one that is closed. */
export function dropDraft(name: string, of = tabId()): void {
  stored(() => localStorage.removeItem(keyOf(name, of)));
}

/** All that is typed on this device and not saved, the latest first, each with its name. */
export function allDrafts(): (Draft & { name: string })[] {
  const keys = stored(() => Object.keys(localStorage).filter(key => key.startsWith(`${PREFIX} `))) ?? [];
  const names = new Set(keys.map(key => key.slice(PREFIX.length + 1, key.lastIndexOf(' '))));
  return [...names].flatMap(name => draftsOf(name).map(draft => ({ ...draft, name }))).sort((a, b) => b.atMs - a.atMs);
}

/** All that was kept under a name, the latest first. */
export function draftsOf(name: string): Draft[] {
  const start = `${PREFIX} ${name} `;
  const keys = stored(() => Object.keys(localStorage).filter(key => key.startsWith(start))) ?? [];
  return keys
    .flatMap(key => {
      const draft = stored(() => JSON.parse(localStorage.getItem(key) ?? 'null') as Partial<Draft> | null);
      return typeof draft?.tab === 'string' && typeof draft.atMs === 'number' ? [draft as Draft] : [];
    })
    .sort((a, b) => b.atMs - a.atMs);
}

/**
 * What was typed before and is nobody's: this tab's own from before a reload, else the latest of a tab that is closed. What another
 * tab is typing stays with it.
 */
export async function draftLeft(
  name: string,
  isOpen: (of: string) => Promise<boolean> = isTabOpen,
): Promise<Draft | null> {
  const drafts = draftsOf(name);
  const own = drafts.find(draft => draft.tab === tabId());
  // A tab that was copied has the name of the one that it was copied from.
  if (own && (await isOpen(own.tab))) renameTab();
  else if (own) return own;
  for (const draft of drafts) if (draft.tab !== own?.tab && !(await isOpen(draft.tab))) return draft;
  return null;
}

function renameTab(): void {
  tab = newId();
  const own = tab;
  stored(() => sessionStorage.setItem(TAB, own));
}

/** Lets other tabs know, when they ask, that this one is open. */
export function answerForTab(): void {
  channel()?.addEventListener('message', ({ data }: MessageEvent<{ ask?: string }>) => {
    if (data.ask === tabId()) channel()?.postMessage({ open: data.ask });
  });
}

let opened: BroadcastChannel | null = null;
function channel(): BroadcastChannel | null {
  if (typeof BroadcastChannel === 'undefined') return null;
  opened ??= new BroadcastChannel('roan-tabs');
  return opened;
}

function isTabOpen(of: string): Promise<boolean> {
  const tabs = channel();
  if (!tabs) return Promise.resolve(false);
  return new Promise(resolve => {
    const end = (isOpen: boolean) => {
      tabs.removeEventListener('message', hear);
      clearTimeout(timer);
      resolve(isOpen);
    };
    const hear = ({ data }: MessageEvent<{ open?: string }>) => {
      if (data.open === of) end(true);
    };
    const timer = setTimeout(() => end(false), ANSWER_MS);
    tabs.addEventListener('message', hear);
    tabs.postMessage({ ask: of });
  });
}

/** A store may be full, forbidden or broken: then nothing is kept, and nothing is broken by it. */
function stored<T>(ask: () => T): T | null {
  try {
    return ask();
  } catch {
    return null;
  }
}
