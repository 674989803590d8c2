import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../../../_server/access/rules';
import { download } from '@/app/_server/download';
import { yardContext } from '@/app/_server/yardContext';
import { reckonLayout } from '@/core';
import { findLayout } from '@/data/queries/layouts';
import { madeLayout } from '@/data/queries/layoutVersions';
import { layoutSvg } from '@/files/layoutSvg';
import { gone } from '@/app/_server/refusal';

/** A layout as a drawing that any program opens: to scale, one unit a metre. */
export const GET = answering(may.help, async (_: Request, { params }: { params: Promise<{ layoutId: string }> }) => {
  const { layoutId } = await params;
  const { db, yard } = await yardContext();
  const layout = await findLayout(db, yard.id, layoutId);
  if (!layout) return problemAnswer(404, gone('layout'));
  const made = await madeLayout(db, yard.id, layout);
  return download(layoutSvg(made, reckonLayout(made)), layout.name, '.svg', 'image/svg+xml');
});
