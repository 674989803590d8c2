'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { saveFile } from '@/components/saveFile';
import { useState } from 'react';
import { KeepPicture } from './keep/KeepPicture';
import classes from './PictureCard.module.css';

export type PictureTable = { columns: string[]; rows: (string | number | null)[][] };

type NumbersProps = {
  title: string;
  table: PictureTable;
  fileName: string;
  /** Whether there is a picture to be kept. */
  hasPicture: boolean;
};

/** The numbers of a picture, written out once they are asked for: after ten seasons they are long; and all of it as files. */
export function Numbers({ title, table, fileName, hasPicture }: NumbersProps) {
  const [isOpen, setIsOpen] = useState(false);
  const keepCsv = async () => {
    const { unparse } = (await import('papaparse')).default;
    const csv = unparse({ fields: table.columns, data: table.rows.map(row => row.map(cell => cell ?? '')) });
    saveFile(new Blob([csv], { type: 'text/csv;charset=utf-8' }), `${fileName}.csv`);
  };
  return (
    <details className={classes.numbers} onToggle={event => setIsOpen(event.currentTarget.open)}>
      <summary>Numbers and files</summary>
      {isOpen && (
        <>
          <NumbersTable title={title} table={table} />
          <span className={classes.files}>
            {hasPicture && <KeepPicture title={title} fileName={fileName} />}
            <button type="button" onClick={() => void keepCsv()}>
              As CSV
            </button>
          </span>
        </>
      )}
    </details>
  );
}

function NumbersTable({ title, table: { columns, rows } }: Pick<NumbersProps, 'title' | 'table'>) {
  const say = useSay();
  return (
    <div className={classes.scroll} tabIndex={0} role="group" aria-label={`Numbers of ${title}`}>
      <table>
        <thead>
          <tr>
            {columns.map((column, index) => (
              <th key={index} scope="col">
                {say(column)}
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {rows.map((row, index) => (
            <tr key={index}>
              {row.map((cell, at) => (
                <td key={at}>{typeof cell === 'string' ? say(cell) : (cell ?? '–')}</td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
    </div>
  );
}
