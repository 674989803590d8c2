import { readMark } from '@/files/recordEvent';
import { DatabaseRefused } from '../databaseRefused';
import type { RoanDatabase } from '../database';
import { listArenas } from '../queries/arenas';
import { horseOverTime, listHorses, strideHistory } from '../queries/horses';
import { listKit } from '../queries/kit';
import { listLayouts } from '../queries/layouts';
import { asVersion } from '../queries/layoutVersions';
import { lessonRecord, listLessons } from '../queries/lessons';
import { listOwnExercises } from '../queries/ownExercises';
import { listPairs } from '../queries/pairs';
import { asMark, listPasses } from '../queries/passes';
import { listPeople } from '../queries/people';
import { storedQuestion } from '../queries/questions';
import { changeOf } from '../queries/recordChanges';
import { lessonLog } from '../queries/recordLog';
import { lengthUnit, rulesSince, yardRules } from '../queries/settings';
import { findStanding } from '../queries/standings';
import { listStrideTests } from '../queries/strideTests';
import { layoutVersions, marks, questions, recordChanges, yards } from '../schema';
import type { Transaction } from '../database';

/**
 * Reads all that is stored as the pages read it, so that nothing stays in a database that would break them.
 * @throws {DatabaseRefused} with a sentence that names what cannot be read
 */
export async function readEverything(tx: Transaction): Promise<void> {
  const db = tx as unknown as RoanDatabase;
  for (const { id, name } of await db.select().from(yards))
    await readYard(db, id).catch((error: unknown) => {
      if (error instanceof DatabaseRefused) throw error;
      throw new DatabaseRefused(`The records of “${name}” cannot be read.`, { cause: error });
    });
  for (const row of await db.select().from(layoutVersions)) asVersion(row);
  for (const { document } of await db.select().from(questions)) storedQuestion(document);
  for (const row of await db.select().from(recordChanges)) changeOf(row);
  for (const row of await db.select().from(marks))
    if (!readMark(asMark(row))) throw new DatabaseRefused(`The mark ${row.id} is none that this Roan knows.`);
}

async function readYard(db: RoanDatabase, yardId: string): Promise<void> {
  await Promise.all([lengthUnit(db, yardId), yardRules(db, yardId), rulesSince(db, yardId)]);
  await Promise.all([
    listArenas(db, yardId),
    listPeople(db, yardId),
    listKit(db, yardId),
    listOwnExercises(db, yardId),
  ]);
  for (const horse of await listHorses(db, yardId)) {
    await listStrideTests(db, yardId, horse.id);
    await strideHistory(db, yardId, horse.id);
    await horseOverTime(db, yardId, horse);
  }
  for (const { id } of await listPairs(db, yardId)) await listPasses(db, yardId, id);
  for (const { id, revision } of await listLayouts(db, yardId)) await findStanding(db, yardId, id, revision);
  for (const lesson of await listLessons(db, yardId)) {
    await lessonRecord(db, yardId, lesson);
    await lessonLog(db, yardId, lesson.id);
  }
}
