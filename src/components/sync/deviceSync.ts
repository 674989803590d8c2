import { deliverBox, lessonBox, rideBox, ticksBox, type OpenBox } from './boxes';
import { createSync, type Sync } from './createSync';
import { answerForTab } from './drafts';
import { openDeviceStore, type DeviceStore } from './deviceStore';
import { oneSenderOfAllTabs } from './oneSender';
import { newId } from '@/components/newId';
import { pageYard } from '@/components/pageYard';

let made: Sync | null = null;
const open = new Map<string, OpenBox>();

/** What this device keeps and sends, for all pages of this tab: made at the first call, in the browser only. */
export function deviceSync(): Sync {
  made ??= start();
  return made;
}

/** Says that a page shows a box: until what it returns is called, answers are told to it. */
export function openBox(box: string, shown: OpenBox): () => void {
  open.set(box, shown);
  return () => {
    if (open.get(box) === shown) open.delete(box);
  };
}

function start(): Sync {
  const channel = 'BroadcastChannel' in window ? new BroadcastChannel('roan-kept') : null;
  const sync = createSync({
    openStore: async () => {
      const store = await openDeviceStore();
      await bringOver(store).catch(() => undefined);
      return store;
    },
    oneSender: oneSenderOfAllTabs(navigator.locks),
    deliver: (box, events, yard) => deliverBox(box, events, open.get(box), yard),
    yard: pageYard,
    tellOthers: () => channel?.postMessage('changed'),
  });
  channel?.addEventListener('message', sync.look);
  window.addEventListener('online', sync.flush);
  document.addEventListener('visibilitychange', () => {
    if (document.visibilityState === 'visible') sync.look();
  });
  // A page that the browser kept and shows again has slept through what other tabs did.
  window.addEventListener('pageshow', sync.look);
  answerForTab();
  sync.look();
  return sync;
}

/** How an older Roan named what it kept, and which box that is. */
const OLDER: readonly [RegExp, (id: string) => string][] = [
  [/^roan-lesson-(.+)$/, lessonBox],
  [/^roan-unsent-(.{36})-(.+)$/, (id: string) => rideBox(id.slice(0, 36), id.slice(37))],
  [/^roan-ticks-(.+)$/, ticksBox],
];

/** Takes over what an older Roan kept on this device, and forgets it there once it is written here. */
export async function bringOver(store: Pick<DeviceStore, 'add'>, older: Storage = localStorage): Promise<void> {
  for (const key of Object.keys(older)) {
    const [pattern, box] = OLDER.find(([one]) => one.test(key)) ?? [null, null];
    if (!pattern) continue;
    const events = parsed(older.getItem(key));
    const id = key.slice(key.indexOf('-', 'roan-'.length) + 1);
    await store.add(
      events.map((event, index) => ({
        ...{ box: box(id), event, refused: null, key: newId() },
        // Before all that is said from now on.
        order: Date.now() - events.length + index,
      })),
    );
    older.removeItem(key);
  }
}

function parsed(text: string | null): unknown[] {
  try {
    const kept: unknown = JSON.parse(text ?? 'null');
    return Array.isArray(kept) ? kept : [];
  } catch {
    return [];
  }
}
