import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../../../_server/access/rules';
import { download } from '@/app/_server/download';
import { yardContext } from '@/app/_server/yardContext';
import { findLayout } from '@/data/queries/layouts';
import { madeLayout } from '@/data/queries/layoutVersions';
import { writeLayout } from '@/files/layoutFile';
import { gone } from '@/app/_server/refusal';

/** A layout as a layout file: what its exercises come to today, with the strides they were reckoned with. */
export const GET = answering(
  may.instruct,
  async (_: Request, { params }: { params: Promise<{ layoutId: string }> }) => {
    const { layoutId } = await params;
    const { db, yard } = await yardContext();
    const layout = await findLayout(db, yard.id, layoutId);
    if (!layout) return problemAnswer(404, gone('layout'));
    const text = JSON.stringify(writeLayout(await madeLayout(db, yard.id, layout)), null, 2);
    return download(`${text}\n`, layout.name, '.roan.json', 'application/json');
  },
);
