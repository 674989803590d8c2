import type { KeptRow } from './keptRow';

/** A browser sends at most 64 KiB once its page is closed; what stands about the events has its room. */
export const MOST_BATCH_BYTES = 48 * 1024;
const MOST_EVENTS = 100;

/**
 * The events to send next: of the box whose turn it is, in order, as many as fit. Nothing overtakes what is still being written.
 * @returns rows of one box; none where nothing can be sent
 */
export function nextBatch(rows: readonly KeptRow[], mostEvents = MOST_EVENTS): KeptRow[] {
  const waiting = rows.filter(row => row.refused === null);
  const first = waiting.find(row => row.keptIn !== 'writing');
  if (!first) return [];
  const batch: KeptRow[] = [];
  let bytes = 0;
  for (const row of waiting) {
    if (row.box !== first.box) continue;
    bytes += bytesOf(row.event);
    const isFull = batch.length >= mostEvents || (batch.length > 0 && bytes > MOST_BATCH_BYTES);
    if (row.keptIn === 'writing' || isFull) break;
    batch.push(row);
  }
  return batch;
}

/** How long an event is as it is sent. */
function bytesOf(event: unknown): number {
  return new TextEncoder().encode(JSON.stringify(event)).length;
}
