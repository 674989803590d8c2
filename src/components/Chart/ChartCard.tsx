import { Card } from '@/components/Card/Card';
import Papa from 'papaparse';
import type { ReactNode } from 'react';
import classes from './ChartCard.module.css';

export type ChartTable = { columns: string[]; rows: (string | number | null)[][] };

type ChartCardProps = {
  title: string;
  /** What the picture shows, in a line. */
  sub?: string;
  /** The numbers under the picture. */
  table: ChartTable;
  /** What the CSV is called. */
  fileName: string;
  children: ReactNode;
};

/** A picture with its numbers under it, and the same as CSV. */
export function ChartCard({ title, sub, table, fileName, children }: ChartCardProps) {
  const csv = Papa.unparse({ fields: table.columns, data: table.rows.map(row => row.map(cell => cell ?? '')) });
  return (
    <Card label={title} title={title}>
      {sub && <p className={classes.sub}>{sub}</p>}
      {children}
      <details className={classes.numbers}>
        <summary>The numbers</summary>
        <div className={classes.scroll}>
          <table>
            <thead>
              <tr>
                {table.columns.map(column => (
                  <th key={column} scope="col">
                    {column}
                  </th>
                ))}
              </tr>
            </thead>
            <tbody>
              {table.rows.map((row, index) => (
                <tr key={index}>
                  {row.map((cell, at) => (
                    <td key={at}>{cell ?? '–'}</td>
                  ))}
                </tr>
              ))}
            </tbody>
          </table>
        </div>
        <a href={`data:text/csv;charset=utf-8,${encodeURIComponent(csv)}`} download={`${fileName}.csv`}>
          As CSV
        </a>
      </details>
    </Card>
  );
}
