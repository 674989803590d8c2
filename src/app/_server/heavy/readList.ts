import { openReader } from '@/data/openReader';
import { lookAtList, type ListChanges } from '@/data/queries/yardLists';
import { readYardCsv, type CsvContent, type RowFault } from '@/files/yardCsv';
import type { CsvList } from '@/files/yardCsvColumns';

/** A list as it was sent; `look`: what taking it in would do is told as well. */
export type ListToRead = { yardId: string; list: CsvList; text: string; look: boolean };

/** A list as it was read; of one that is looked at its first rows, and what taking it in would do: no more of it is shown. */
export type ListRead =
  | { kind: 'looked'; header: string[]; rows: string[][]; changes: ListChanges }
  | { kind: 'read'; content: CsvContent }
  | { kind: 'faulty'; faults: RowFault[] };

const ROWS_SHOWN = 50;

/** Reads a list, and looks at what it would do to the yard. */
export async function readList({ yardId, list, text, look }: ListToRead): Promise<ListRead> {
  const read = readYardCsv(list, text);
  if (!read.ok) return { kind: 'faulty', faults: read.faults };
  if (!look) return { kind: 'read', content: read.content };
  const reader = await openReader();
  try {
    const { header, preview, content } = read;
    const changes = await lookAtList(reader.db, yardId, content);
    return { kind: 'looked', header, rows: preview.slice(0, ROWS_SHOWN), changes };
  } finally {
    reader.close();
  }
}
