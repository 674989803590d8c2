'use server';

import { takeOver, withStaged, type StagedRows } from '@/data/archive/stagedStore';
import type { RoanDatabase } from '@/data/database';
import { filmFile } from '@/data/films/filmFile';
import { isSample, keepSample, removeSample } from '@/data/queries/sampleYard';
import { listYards } from '@/data/queries/yards';
import type { FormOutcome } from '@/files/formOutcome';
import { roan } from '@/data/roan';
import { revalidatePath } from 'next/cache';
import { mkdirSync, mkdtempSync, rmSync } from 'node:fs';
import { rm } from 'node:fs/promises';
import path from 'node:path';
import { may } from '../_server/access/rules';
import { carryNone } from '../_server/access/sessionCookie';
import { yardsHere, type Who } from '../_server/access/whoIsThere';
import { attempt } from '../_server/attempt';
import { dataFolders } from '../_server/dataFolders';
import { heavyWork } from '../_server/heavy/heavyWork';
import { yardContext } from '../_server/yardContext';
import { begunBy, showYard } from './begunBy';

/** The yards that a device can show, each with the session by which it is in it; the one that is shown now is among them. */
async function reachable(db: RoanDatabase, who: Who): Promise<{ yardId: string; sessionId: string | null }[]> {
  return who.open
    ? (await listYards(db)).map(({ id }) => ({ yardId: id, sessionId: null }))
    : (await yardsHere()).map(({ yardId, sessionId }) => ({ yardId, sessionId }));
}

/** A folder for something that is made ready, gone afterwards. */
async function withFolder<Result>(work: (folder: string) => Promise<Result>): Promise<Result> {
  const { incoming } = dataFolders();
  mkdirSync(incoming, { recursive: true });
  const folder = mkdtempSync(path.join(incoming, 'sample-'));
  return work(folder).finally(() => rmSync(folder, { recursive: true, force: true }));
}

/** Shows a sample yard: that which this device has, or one that is made with a season behind it. */
export async function beginSampleAction(): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { db, write, yard, who } = await yardContext(may.instruct);
    for (const { yardId, sessionId } of await reachable(db, who))
      if (await isSample(db, yardId)) {
        await showYard(yardId, sessionId);
        return { ok: true };
      }
    const letIn = await begunBy(db, who);
    const [yardId, sessionId] = await withFolder(async folder => {
      const staged = await heavyWork('sample', { nowMs: Date.now(), timeZone: yard.timeZone, folder });
      const own = staged.yards[0]!.id;
      const put = (rows: StagedRows) =>
        write(async tx => {
          await takeOver(tx, rows, own);
          return letIn(tx, own);
        });
      return [own, await withStaged(staged, await roan(), put)] as const;
    });
    await showYard(yardId, sessionId);
    return { ok: true };
  });
}

/** Throws the sample away that is shown, and shows another yard. */
export async function throwSampleAwayAction(): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { db, write, yard, who } = await yardContext(may.instruct);
    const others = (await reachable(db, who)).filter(({ yardId }) => yardId !== yard.id);
    const films = await write(tx => removeSample(tx, yard.id));
    for (const id of films) await rm(filmFile(dataFolders().videos, id), { force: true });
    const [other] = others;
    if (other) await showYard(other.yardId, other.sessionId);
    else if (!who.open) await carryNone();
    return { ok: true };
  });
}

/** The sample that is shown is a yard as any other from now on. */
export async function keepSampleAction(): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { write, yard } = await yardContext(may.instruct);
    await write(tx => keepSample(tx, yard.id));
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}
