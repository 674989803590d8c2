import { writeCsvTable } from './csvTable';

/** A change of the record as a spreadsheet has it. */
export type ToldChange = {
  /** When it was said, as the yard's clock shows it. */
  when: string;
  by: string;
  pair: string;
  /** When the pass that it is of was ridden; empty where it is of no pass. */
  ridden: string;
  what: string;
  before: string;
  after: string;
  /** Whether it was said afterwards, not while it was ridden. */
  afterwards: boolean;
};

const COLUMNS = ['when', 'by', 'pair', 'ridden', 'what', 'before', 'after'] as const;

/** What was changed in a record, one change a row. */
export function writeChangesCsv(changes: readonly ToldChange[]): string {
  return writeCsvTable(
    [...COLUMNS, 'afterwards'],
    changes.map(change => [...COLUMNS.map(column => change[column]), change.afterwards ? 'yes' : 'no']),
  );
}
