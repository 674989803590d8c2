/** What an error is, whichever copy of its class made it: a production build has several. */
const KINDS = Symbol.for('roan.kinds');

/** A database that Roan will not or cannot use; the message is a sentence for the person at the screen. */
export class DatabaseRefused extends Error {
  override name = 'DatabaseRefused';
  static readonly kind: string = 'database-refused';

  constructor(message: string, options?: ErrorOptions) {
    super(message, options);
    Object.defineProperty(this, KINDS, { value: kindsOf(new.target) });
  }

  static override [Symbol.hasInstance](error: unknown): boolean {
    const kinds = (error as { [KINDS]?: readonly string[] } | null | undefined)?.[KINDS];
    return kinds?.includes(this.kind) ?? false;
  }
}

/** A store that cannot take anything now: full, busy, damaged, not to be written. What was sent may be sent again. */
export class StoreFault extends DatabaseRefused {
  override name = 'StoreFault';
  static override readonly kind: string = 'store-fault';
}

/** The kinds of a class and of all that it is made from. */
function kindsOf(made: unknown): string[] {
  const kinds: string[] = [];
  for (let at = made; typeof at === 'function'; at = Object.getPrototypeOf(at) as unknown)
    if (Object.hasOwn(at, 'kind')) kinds.push((at as unknown as { kind: string }).kind);
  return kinds;
}

/**
 * What went wrong while writing, in words: wraps what the driver throws, once, and keeps it as the cause.
 */
export function asSentence(error: unknown): DatabaseRefused {
  if (error instanceof DatabaseRefused) return error;
  const codes = codesOf(error);
  // Said by the database itself: nothing of it is ever taken, however often it is sent.
  if (codes.includes('of another yard'))
    return new DatabaseRefused('That names something of another yard, so nothing was saved.', { cause: error });
  return new StoreFault(sentenceFor(codes), { cause: error });
}

/** Whether an error is one of the database or of the disk. */
export function isOfStore(error: unknown): boolean {
  return /SQLITE_|LIBSQL|SERVER_ERROR|HRANA|WebSocket|fetch failed|UND_ERR|\b(ENOSPC|EACCES|EROFS|EPERM|EIO|EDQUOT|EMFILE|EBUSY)\b/.test(
    codesOf(error),
  );
}

/**
 * Whether what went wrong may be gone in a moment: another process wrote, a transaction was given up by the server, or the server
 * is being started again.
 */
export function isPassing(error: unknown): boolean {
  if (error instanceof DatabaseRefused) return false;
  return /SQLITE_BUSY|SQLITE_LOCKED|database is locked|baton|STREAM_|TRANSACTION_|transaction .*(timed out|closed)|no transaction is active|WebSocket|HRANA_WEBSOCKET|fetch failed|ECONNREFUSED|ECONNRESET|EPIPE|UND_ERR|socket hang up|HTTP status 5\d\d/i.test(
    codesOf(error),
  );
}

/** What an error and all that caused it say of what went wrong, without what was asked. */
export function codesOf(error: unknown): string {
  const codes: string[] = [];
  let at = error as { code?: unknown; message?: unknown; cause?: unknown } | null | undefined;
  // By what it has and not by its class: the platform's own errors may be of another world.
  for (let depth = 0; typeof at === 'object' && at !== null && depth < 5; at = at.cause as typeof at, depth += 1) {
    if ('code' in at) codes.push(String(at.code));
    const message = String(at.message ?? '');
    // What was asked, with what somebody typed in it, says nothing of what went wrong.
    if (!message.startsWith('Failed query')) codes.push(message);
  }
  return codes.join(' ');
}

function sentenceFor(codes: string): string {
  if (/SQLITE_FULL|ENOSPC|EDQUOT/.test(codes))
    return 'The disk is full, so nothing was saved. Make room and try again.';
  if (/SQLITE_READONLY|EACCES|EROFS|EPERM/.test(codes))
    return 'Roan may not write to its data folder, so nothing was saved. Make the folder writable and try again.';
  if (/SQLITE_NOTADB/.test(codes)) return 'The database file is not a database that Roan can read.';
  if (/SQLITE_CORRUPT/.test(codes)) return 'The database file is damaged. Nothing was changed: restore a copy of it.';
  if (/fetch failed|ECONNREFUSED|ECONNRESET|UND_ERR|baton|HTTP status 5\d\d|WebSocket/i.test(codes))
    return 'The database server does not answer, so nothing was saved. Try again.';
  if (/SQLITE_BUSY/.test(codes)) return 'Another program holds the database. Close it and try again.';
  if (/SQLITE_CANTOPEN/.test(codes)) return 'The database file cannot be opened: check its folder.';
  return 'The database did not take that, so nothing was saved. Try again.';
}
