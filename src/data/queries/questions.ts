import { createHash } from 'node:crypto';
import type { Question } from '@/core';
import { QuestionOnPaper } from '@/files/questionPaper';
import { and, eq, inArray } from 'drizzle-orm';
import { DatabaseRefused } from '../databaseRefused';
import { isKnownRow, knowRow } from '../knownRows';
import type { RoanDatabase } from '../database';
import { remembered } from '../remembered';
import { questions } from '../schema';
import type { Transaction } from '../database';

type Reader = Pick<RoanDatabase, 'select'>;

/** The id that a question is kept under: the same for the same words of the same yard. */
export function questionId(yardId: string, question: Question): string {
  return createHash('sha256')
    .update(JSON.stringify([yardId, question]))
    .digest('hex')
    .slice(0, 40);
}

/** Keeps what was asked; the same is kept once. Returns the id of its row. */
export async function keepQuestion(tx: Transaction, yardId: string, question: Question): Promise<string> {
  const document = inOrder(question);
  const id = questionId(yardId, document);
  if (isKnownRow(tx, id)) return id;
  await tx.insert(questions).values({ id, yardId, document }).onConflictDoNothing();
  knowRow(tx, id);
  return id;
}

/** The keys in one order, so that the same question has the same hash whoever wrote it. */
function inOrder({ id, name, what, state, gait, rein, asked }: Question): Question {
  const { out, asPole, raisedM, heightM, form } = state;
  return { id, name, what, state: { out, asPole, raisedM, heightM, form }, gait, rein, asked };
}

/** Rows never change, so what was read once holds as long as Roan runs. */
const known = remembered<Question>(5000);
/** A statement takes a limited number of values. */
const MOST_IDS = 5000;

/** Questions by the ids of their rows. */
export async function questionsById(
  db: Reader,
  yardId: string,
  ids: readonly string[],
): Promise<Map<string, Question>> {
  return known.each(yardId, ids, async missing => {
    const found: (readonly [string, Question])[] = [];
    for (let first = 0; first < missing.length; first += MOST_IDS) {
      const rows = await db
        .select({ id: questions.id, document: questions.document })
        .from(questions)
        .where(and(eq(questions.yardId, yardId), inArray(questions.id, missing.slice(first, first + MOST_IDS))));
      found.push(...rows.map(({ id, document }) => [id, storedQuestion(document)] as const));
    }
    return found;
  });
}

/** What was stored was parsed before it went in: a fault here is a fault of the file. */
export function storedQuestion(document: unknown): Question {
  const read = QuestionOnPaper.safeParse(document);
  if (!read.success) throw new DatabaseRefused('What was asked in a pass cannot be read.');
  return read.data;
}
