import { Card } from '@/components/Card/Card';
import type { Claim } from '@/core';
import Papa from 'papaparse';
import type { ReactNode } from 'react';
import { KeepPicture } from './keep/KeepPicture';
import classes from './PictureCard.module.css';

export type PictureTable = { columns: string[]; rows: (string | number | null)[][] };

type PictureCardProps = {
  title: string;
  /** What the record says of it: bold, with what it rests on behind it. */
  says?: readonly Pick<Claim, 'text' | 'because'>[];
  /** What the picture shows, in a line. */
  sub?: string;
  /** The numbers of the picture. */
  table: PictureTable;
  /** What its files are called. */
  fileName: string;
  /** The picture. */
  children?: ReactNode;
  /** What can be done about it. */
  actions?: ReactNode;
  /** Stands on the one printed page. */
  onPaper?: boolean;
  /** Takes the whole width of the page. */
  isWide?: boolean;
};

/** A picture with what it says and what can be done about it; its numbers, and all of it as files, are a tap away. */
export function PictureCard(props: PictureCardProps) {
  const { title, says = [], sub, table, fileName, children, actions, onPaper, isWide } = props;
  return (
    <div className={classes.place} data-on-paper={onPaper || undefined} data-wide={isWide || undefined}>
      <Card label={title} title={title}>
        {says.map(({ text, because }) => (
          <details key={text} className={classes.says}>
            <summary>{text}</summary>
            <p>{because}</p>
          </details>
        ))}
        {children && <div data-picture="">{children}</div>}
        {sub && <p className={classes.sub}>{sub}</p>}
        {actions && <div className={classes.actions}>{actions}</div>}
        <details className={classes.numbers}>
          <summary>Numbers and files</summary>
          <Numbers title={title} table={table} />
          <span className={classes.files}>
            {children && <KeepPicture title={title} fileName={fileName} />}
            <a href={csvAddress(table)} download={`${fileName}.csv`}>
              As CSV
            </a>
          </span>
        </details>
      </Card>
    </div>
  );
}

function csvAddress({ columns, rows }: PictureTable): string {
  const csv = Papa.unparse({ fields: columns, data: rows.map(row => row.map(cell => cell ?? '')) });
  return `data:text/csv;charset=utf-8,${encodeURIComponent(csv)}`;
}

function Numbers({ title, table: { columns, rows } }: { title: string; table: PictureTable }) {
  return (
    <div className={classes.scroll} tabIndex={0} role="group" aria-label={`Numbers of ${title}`}>
      <table>
        <thead>
          <tr>
            {columns.map((column, index) => (
              <th key={index} scope="col">
                {column}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, index) => (
            <tr key={index}>
              {row.map((cell, at) => (
                <td key={at}>{cell ?? '–'}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
