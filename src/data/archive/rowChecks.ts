import { isFilmType, isSafeName } from '../films/filmFile';
import type { ArchiveColumn } from './archiveTables';

const LATEST_MS = 8.64e15;
const MOST_ID_LETTERS = 120;

/**
 * What is wrong with a value of a column, in words; null where nothing is. What holds of every column is looked at here; documents
 * are read by those who read them afterwards.
 */
export function valueFault(table: string, column: ArchiveColumn, value: unknown): string | null {
  const { name, type, nullable, choices, isInstant } = column;
  if (value === null) return nullable ? null : 'is missing';
  if (typeof value !== (type === 'number' ? 'number' : 'string')) return 'is of the wrong kind';
  if (typeof value === 'number') {
    if (!Number.isFinite(value)) return 'is no number';
    return isInstant && (!Number.isInteger(value) || Math.abs(value) > LATEST_MS) ? 'is no time' : null;
  }
  const text = value as string;
  if (choices && !choices.includes(text)) return `is “${text.slice(0, 40)}”, which this Roan does not know`;
  if (type === 'bytes') return /^[A-Za-z0-9+/]*={0,2}$/.test(text) ? null : 'is no base64';
  if ((name === 'id' || name.endsWith('_id')) && !isId(text)) return 'is no id';
  return (OWN[`${table}.${name}`] ?? noFault)(text);
}

const noFault = (): null => null;

/** An id names a row, and some of them a file: never a folder or a way up. */
function isId(text: string): boolean {
  return text !== '' && text.length <= MOST_ID_LETTERS && !/[/\\\u0000-\u001f]|^\.+$/.test(text);
}

/** What single columns have to be beside. */
const OWN: Readonly<Record<string, (text: string) => string | null>> = {
  'yards.time_zone': zone => (isTimeZone(zone) ? null : 'is no time zone'),
  'videos.id': id => (isSafeName(id) ? null : 'is no name that a file may have'),
  'videos.mime': mime => (isFilmType(mime) ? null : 'is no kind of film'),
  'videos.sha256': hash => (/^[0-9a-f]{64}$/.test(hash) ? null : 'is no SHA-256'),
};

function isTimeZone(zone: string): boolean {
  try {
    new Intl.DateTimeFormat('en', { timeZone: zone });
    return true;
  } catch {
    return false;
  }
}
