import { askedLayout, questionWork, type PassRecord, type QuestionWork } from '@/core';
import type { RoanDatabase } from '../database';
import { remembered } from '../remembered';
import { versionsById } from './layoutVersions';

type OverVersion = Pick<PassRecord, 'layoutVersionId' | 'question'>;

/** Neither a version nor a question ever changes, so what they come to holds as long as Roan runs. */
const known = remembered<QuestionWork | null>(4000);

/** The work of what each of some passes was asked, over the version it was ridden over; null where that is not there. */
export async function passWorks(
  db: Pick<RoanDatabase, 'select'>,
  yardId: string,
  ridden: readonly OverVersion[],
): Promise<(pass: OverVersion) => QuestionWork | null> {
  const nameOf = ({ layoutVersionId, question }: OverVersion) => `${layoutVersionId} ${JSON.stringify(question)}`;
  const byName = new Map(ridden.map(pass => [nameOf(pass), pass]));
  const works = await known.each(yardId, byName.keys(), async names => {
    const missing = names.map(name => [name, byName.get(name)!] as const);
    const versionIds = missing.map(([, { layoutVersionId }]) => layoutVersionId);
    const versions = await versionsById(db, yardId, versionIds);
    return missing.map(([name, { layoutVersionId, question }]) => {
      const version = versions.get(layoutVersionId);
      const asked = version ? askedLayout(version.layout, question) : null;
      return [name, asked && questionWork(asked)] as const;
    });
  });
  return pass => works.get(nameOf(pass)) ?? null;
}
