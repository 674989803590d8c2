import { Table } from '@/components/Table/Table';
import { Card } from '@/components/Card/Card';
import { EmptyState } from '@/components/EmptyState/EmptyState';
import { nowMs } from '@/components/nowMs';
import { PageHead } from '@/components/PageHead/PageHead';
import { officeSums, type YardSums } from '@/data/queries/officeSums';
import { Stack } from '@mantine/core';
import type { Metadata } from 'next';
import { may } from '../_server/access/rules';
import { yardContext } from '../_server/yardContext';
import { instantOf, yardTime } from '../_server/yardTime';

export const metadata: Metadata = { title: 'Sums of all yards' };

/** The months that are told, this one first. */
const MONTHS = 3;

/** What the yards of this store did, month by month: how much, and nothing of whom. */
export default async function OfficePage() {
  const { db, yard } = await yardContext(may.sum);
  const atMs = nowMs();
  const months = lastMonths(atMs, yard.timeZone);
  const sums = await Promise.all(months.map(({ fromMs, untilMs }) => officeSums(db, fromMs, untilMs)));
  return (
    <>
      <PageHead
        title="Sums of all yards"
        sub="How much was ridden in each yard that tells it. Nobody’s name and no record is shown here."
      />
      {sums[0]!.length === 0 ? (
        <EmptyState title="No yard tells its sums yet">
          An instructor lets a yard tell them: in its page “Yards”, open “Sums for the office”.
        </EmptyState>
      ) : (
        <Stack gap="md">
          {months.map(({ name }, index) => (
            <Card key={name} label={name} title={name}>
              <SumsTable sums={sums[index]!} />
            </Card>
          ))}
        </Stack>
      )}
    </>
  );
}

const COLUMNS = [
  ['lessons', 'Lessons'],
  ['pairs', 'Pairs that rode'],
  ['horses', 'Horses that worked'],
  ['passes', 'Passes'],
] as const;

function SumsTable({ sums }: { sums: readonly YardSums[] }) {
  return (
    <Table>
      <thead>
        <tr>
          <th>Yard</th>
          {COLUMNS.map(([key, words]) => (
            <th key={key} style={{ textAlign: 'right' }}>
              {words}
            </th>
          ))}
        </tr>
      </thead>
      <tbody>
        {sums.map(one => (
          <tr key={one.yardId}>
            <th scope="row">{one.yard}</th>
            {COLUMNS.map(([key]) => (
              <td key={key} style={{ textAlign: 'right' }}>
                {one[key]}
              </td>
            ))}
          </tr>
        ))}
      </tbody>
      <tfoot>
        <tr>
          <th scope="row">All</th>
          {COLUMNS.map(([key]) => (
            <th key={key} style={{ textAlign: 'right' }}>
              {sums.reduce((sum, one) => sum + one[key], 0)}
            </th>
          ))}
        </tr>
      </tfoot>
    </Table>
  );
}

/** The last months by the yard's calendar, the one that runs first. */
function lastMonths(atMs: number, timeZone: string) {
  const [year, month] = yardTime(atMs, timeZone, 'YYYY-MM').split('-').map(Number) as [number, number];
  const beginOf = (back: number) => {
    const months = year * 12 + month - 1 - back;
    const text = `${Math.floor(months / 12)}-${String((months % 12) + 1).padStart(2, '0')}-01T00:00`;
    return instantOf(text, timeZone)!;
  };
  return Array.from({ length: MONTHS }, (_, back) => ({
    name: yardTime(beginOf(back), timeZone, 'MMMM YYYY'),
    fromMs: beginOf(back),
    untilMs: beginOf(back - 1) - 1,
  }));
}
