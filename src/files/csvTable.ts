import Papa from 'papaparse';

export type CsvRow = Record<string, string>;
export type CsvFault = { line: number; column: string | null; reason: string };
export type CsvTable = {
  header: string[];
  /** Each row with the line of the file that it begins in: a quoted cell may go over several. */
  rows: { line: number; cells: CsvRow }[];
  /** What is no table: cells beyond the columns, quotes that do not end. */
  faults: CsvFault[];
};

/**
 * A sheet takes what begins so for a formula and runs it; written, a quote stands before it, and read, it goes again. What has quotes
 * of its own before it gets one more, so that it keeps them.
 */
const FORMULA = /^'*[=+\-@\t\r]/;
const ESCAPED = /^'(?='*[=+\-@\t\r])/;

/** Reads comma-separated text with a line of column names. Nothing of it is dropped without a word. */
export function readCsvTable(text: string): CsvTable {
  const table: CsvTable = { header: [], rows: [], faults: [] };
  const plain = text.replace(/^\uFEFF/, '');
  const lineAt = lineCounter(plain);
  let end = 0;
  Papa.parse<string[]>(plain, {
    skipEmptyLines: 'greedy',
    step: ({ data, errors, meta }) => {
      const line = lineAt(end);
      end = meta.cursor;
      if (errors.some(({ type }) => type === 'Quotes'))
        return void table.faults.push({ line, column: null, reason: 'A quote that begins here does not end as one.' });
      if (table.header.length === 0) table.header = data.map(name => name.trim().toLowerCase());
      else addRow(table, data, line);
    },
  });
  return table;
}

function addRow({ header, rows, faults }: CsvTable, data: readonly string[], line: number): void {
  const beyond = data.slice(header.length).filter(cell => cell.trim() !== '');
  if (beyond.length > 0) {
    const reason = `There are more cells than columns: “${beyond[0]!.trim().slice(0, 40)}” has none. A cell with a comma in it stands in quotes.`;
    faults.push({ line, column: null, reason });
  }
  rows.push({
    line,
    cells: Object.fromEntries(header.map((name, at) => [name, (data[at] ?? '').replace(ESCAPED, '')])),
  });
}

/** Tells which line of a text a row begins in that is looked for behind a place; places are asked for in order. */
function lineCounter(text: string): (behind: number) => number {
  let at = 0;
  let line = 1;
  return behind => {
    // Empty lines before a row are not its own.
    let start = behind;
    while (/[\s,]/.test(text[start] ?? '') && /^[ \t,]*\r?\n/.test(text.slice(start, start + 400)))
      start = text.indexOf('\n', start) + 1;
    for (; at < start; at += 1) if (text[at] === '\n') line += 1;
    return line;
  };
}

/** Writes a table; what a sheet would take for a formula is written as text. */
export function writeCsvTable(fields: readonly string[], rows: readonly (readonly (string | number)[])[]): string {
  return Papa.unparse(
    { fields: [...fields], data: rows.map(row => [...row]) },
    { newline: '\n', escapeFormulae: FORMULA },
  );
}
