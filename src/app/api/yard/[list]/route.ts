import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../../_server/access/rules';
import { yardContext } from '@/app/_server/yardContext';
import { exportList } from '@/data/queries/yardLists';
import { writeYardCsv } from '@/files/yardCsv';
import { CSV_LISTS } from '@/files/yardCsvColumns';

/** A list of the yard as CSV: /api/yard/horses.csv and the like. */
export const GET = answering(may.instruct, async (_: Request, { params }: { params: Promise<{ list: string }> }) => {
  const { list: file } = await params;
  const list = CSV_LISTS.find(name => `${name}.csv` === file);
  if (!list) return problemAnswer(404, `There is no list “${file}”.`);
  const { db, yard } = await yardContext();
  return new Response(writeYardCsv(await exportList(db, yard.id, list)), {
    headers: {
      'content-type': 'text/csv; charset=utf-8',
      'content-disposition': `attachment; filename="${list}.csv"`,
    },
  });
});
