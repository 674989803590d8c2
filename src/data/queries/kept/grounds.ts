import {
  askedLayout,
  questionKey,
  questionWords,
  riddenGround,
  UNTOLD_QUESTION,
  type Layout,
  type Question,
  type ReviewPass,
  type RideDirection,
} from '@/core';
import { and, eq, inArray } from 'drizzle-orm';
import type { RoanDatabase } from '../../database';
import { keptGrounds } from '../../schema';
import { versionsById } from '../layoutVersions';
import { questionsById } from '../questions';
import { keeperOf } from './findings';
import { madeBy } from './madeBy';

type Reader = Pick<RoanDatabase, 'select'>;

/** A question over a version: what it was ridden over, what it is called, and what tells it from another. */
export type Ground = Pick<ReviewPass, 'ground' | 'questionWords' | 'key'>;

/** Neither a version nor a question ever changes, so what is reckoned of the two holds as long as Roan runs. */
const known = new Map<string, Ground>();
const MOST_KNOWN = 4000;
/** A statement takes a limited number of values. */
const MOST_NAMES = 5000;

export type OverGround = { layoutVersionId: string; questionId: string | null; direction: RideDirection };

const nameOf = ({ layoutVersionId, questionId, direction }: OverGround) =>
  `${layoutVersionId} ${questionId ?? ''} ${direction === 'mirrored' ? 'mirrored' : ''}`;

/** What passes were ridden over: from memory, from the store, or reckoned; null where their version is not there. */
export async function groundsOf(
  db: Reader,
  yardId: string,
  passes: readonly OverGround[],
): Promise<(pass: OverGround) => Ground | null> {
  const wished = new Map(passes.map(pass => [nameOf(pass), pass]));
  const found = new Map<string, Ground>();
  const take = (name: string, ground: Ground) => {
    if (known.size >= MOST_KNOWN) known.clear();
    known.set(`${yardId} ${name}`, ground);
    found.set(name, ground);
  };
  for (const name of wished.keys()) {
    const ground = known.get(`${yardId} ${name}`);
    if (ground) found.set(name, ground);
  }
  const missing = () => [...wished.keys()].filter(name => !found.has(name));
  for (const [name, ground] of await storedGrounds(db, yardId, missing())) take(name, ground);
  const reckoned = await reckonedGrounds(
    db,
    yardId,
    missing().map(name => wished.get(name)!),
  );
  for (const [name, ground] of reckoned) take(name, ground);
  if (reckoned.size > 0) void keepGrounds(db, yardId, reckoned);
  return pass => found.get(nameOf(pass)) ?? null;
}

async function storedGrounds(db: Reader, yardId: string, names: readonly string[]): Promise<Map<string, Ground>> {
  const found = new Map<string, Ground>();
  for (let first = 0; first < names.length; first += MOST_NAMES) {
    const some = inArray(keptGrounds.name, names.slice(first, first + MOST_NAMES));
    const rows = await db
      .select()
      .from(keptGrounds)
      .where(and(eq(keptGrounds.yardId, yardId), eq(keptGrounds.madeBy, madeBy()), some));
    for (const { name, document } of rows) {
      const ground = readGround(document);
      if (ground) found.set(name, ground);
    }
  }
  return found;
}

/** One that cannot be read is reckoned again. */
function readGround(document: string): Ground | null {
  try {
    return JSON.parse(document) as Ground;
  } catch {
    return null;
  }
}

async function reckonedGrounds(
  db: Reader,
  yardId: string,
  passes: readonly OverGround[],
): Promise<Map<string, Ground>> {
  const versions = await versionsById(
    db,
    yardId,
    passes.map(({ layoutVersionId }) => layoutVersionId),
  );
  const questions = await questionsById(
    db,
    yardId,
    passes.flatMap(({ questionId }) => questionId ?? []),
  );
  const reckoned = new Map<string, Ground>();
  for (const pass of passes) {
    const version = versions.get(pass.layoutVersionId);
    const question = questions.get(pass.questionId ?? '') ?? UNTOLD_QUESTION;
    if (version) reckoned.set(nameOf(pass), groundOver(version.layout, question, pass.direction));
  }
  return reckoned;
}

function groundOver(layout: Layout, question: Question, direction: RideDirection): Ground {
  const drawn = askedLayout(layout, question);
  const asked = direction === 'mirrored' ? askedLayout(layout, question, 'mirrored') : drawn;
  return {
    ground: riddenGround(asked, drawn, layout),
    questionWords: questionWords(layout, question),
    key: drawn ? questionKey(drawn) : '',
  };
}

/** What was reckoned is kept behind the answer. Where that fails it is reckoned again after the next start. */
async function keepGrounds(db: Reader, yardId: string, reckoned: ReadonlyMap<string, Ground>): Promise<void> {
  const grounds = [...reckoned].map(([name, ground]) => ({ name, document: JSON.stringify(ground) }));
  await keeperOf(db)?.({ what: 'grounds', yardId, madeBy: madeBy(), grounds }).catch(() => undefined);
}
