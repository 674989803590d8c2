import { yardContext } from '@/app/_server/yardContext';
import { findVersion } from '@/data/queries/layoutVersions';

/** A layout as it was kept: what a page needs to name and count a pass that somebody else recorded over it. */
export async function GET(_: Request, { params }: { params: Promise<{ versionId: string }> }) {
  const { versionId } = await params;
  const { db, yard } = await yardContext();
  const version = await findVersion(db, yard.id, versionId);
  return version
    ? Response.json({ layout: version.layout })
    : Response.json({ problem: 'This layout is not in the yard any more.' }, { status: 404 });
}
