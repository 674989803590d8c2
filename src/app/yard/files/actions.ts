'use server';

import { importList, type ListChanges } from '@/data/queries/yardLists';
import type { RowFault } from '@/files/yardCsv';
import { CSV_LISTS } from '@/files/yardCsvColumns';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { faultOf } from '../../_server/faultOf';
import { heavyWork } from '../../_server/heavy/heavyWork';
import { may } from '../../_server/access/rules';
import { yardContext } from '../../_server/yardContext';

const MOST_LETTERS = 900_000;
const Sent = z.object({ list: z.enum(CSV_LISTS), text: z.string().max(MOST_LETTERS), keep: z.boolean() });

export type ListOutcome =
  | { kind: 'preview'; header: string[]; rows: string[][]; changes: ListChanges }
  | { kind: 'kept'; changes: ListChanges }
  | { kind: 'refused'; faults: RowFault[] };

const refused = (reason: string): ListOutcome => ({ kind: 'refused', faults: [{ line: 0, column: null, reason }] });

/** Looks at a list, or takes it into the yard: all of it or nothing. */
export async function listAction(sent: unknown): Promise<ListOutcome> {
  const { write, yard } = await yardContext(may.instruct);
  const asked = Sent.safeParse(sent);
  if (!asked.success) return refused('This list is larger than Roan takes at once.');
  const { list, text, keep } = asked.data;
  try {
    const read = await heavyWork('list', { yardId: yard.id, list, text, look: !keep });
    if (read.kind === 'faulty') return { kind: 'refused', faults: read.faults };
    if (read.kind === 'looked') return { kind: 'preview', header: read.header, rows: read.rows, changes: read.changes };
    const done = await write(tx => importList(tx, yard.id, read.content));
    revalidatePath('/', 'layout');
    return { kind: 'kept', changes: done };
  } catch (error) {
    return refused(faultOf(error).problem);
  }
}
