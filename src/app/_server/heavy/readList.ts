import { openReader } from '@/data/openReader';
import { lookAtList, type ListChanges } from '@/data/queries/yardLists';
import { readYardCsv, type ReadCsv } from '@/files/yardCsv';
import type { CsvList } from '@/files/yardCsvColumns';

/** A list as it was sent; `look`: what taking it in would do is told as well. */
export type ListToRead = { yardId: string; list: CsvList; text: string; look: boolean };

/** A list as it was read, and what taking it in would do. */
export type ListRead = { read: ReadCsv; changes: ListChanges | null };

/** Reads a list, and looks at what it would do to the yard. */
export async function readList({ yardId, list, text, look }: ListToRead): Promise<ListRead> {
  const read = readYardCsv(list, text);
  if (!read.ok || !look) return { read, changes: null };
  const reader = await openReader();
  try {
    return { read, changes: await lookAtList(reader.db, yardId, read.content) };
  } finally {
    reader.close();
  }
}
