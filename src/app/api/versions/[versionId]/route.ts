import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../../_server/access/rules';
import { yardContext } from '@/app/_server/yardContext';
import { findVersion } from '@/data/queries/layoutVersions';
import { gone } from '@/app/_server/refusal';

/** A layout as it was kept: what a page needs to name and count a pass that somebody else recorded over it. */
export const GET = answering(may.help, async (_: Request, { params }: { params: Promise<{ versionId: string }> }) => {
  const { versionId } = await params;
  const { db, yard } = await yardContext();
  const version = await findVersion(db, yard.id, versionId);
  return version ? Response.json({ layout: version.layout }) : problemAnswer(404, gone('layout'));
});
