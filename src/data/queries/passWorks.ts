import { askedLayout, questionWork, type PassRecord, type QuestionWork } from '@/core';
import type { RoanDatabase } from '../database';
import { versionsRidden } from './passes';

type OverVersion = Pick<PassRecord, 'layoutVersionId' | 'question'>;

/** Neither a version nor a question ever changes, so what they come to holds as long as Roan runs. */
const known = new Map<string, QuestionWork | null>();
const MOST_KNOWN = 4000;

/** The work of what each of some passes was asked, over the version it was ridden over; null where that is not there. */
export async function passWorks(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  ridden: readonly OverVersion[],
): Promise<(pass: OverVersion) => QuestionWork | null> {
  const nameOf = ({ layoutVersionId, question }: OverVersion) =>
    `${yardId} ${layoutVersionId} ${JSON.stringify(question)}`;
  const names = new Map(ridden.map(pass => [nameOf(pass), pass]));
  const missing = [...names].filter(([name]) => !known.has(name));
  if (known.size + missing.length > MOST_KNOWN) known.clear();
  const unknown = [...names].filter(([name]) => !known.has(name));
  const versions = await versionsRidden(
    db,
    yardId,
    unknown.map(([, { layoutVersionId }]) => layoutVersionId),
  );
  for (const [name, { layoutVersionId, question }] of unknown) {
    const version = versions.get(layoutVersionId);
    const asked = version ? askedLayout(version.layout, question) : null;
    known.set(name, asked && questionWork(asked));
  }
  return pass => known.get(nameOf(pass)) ?? null;
}
