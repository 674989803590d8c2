import { createHash, randomBytes } from 'node:crypto';

/** 160 bits: nobody guesses one, and it is short enough for a QR code that a phone reads from a screen. */
const TOKEN_BYTES = 20;

/** An unguessable token for a link, in letters that an address may have. */
export function newToken(): string {
  return randomBytes(TOKEN_BYTES).toString('base64url');
}

/** What is kept of a token: whoever reads the database cannot use it. */
export function tokenHash(token: string): string {
  return createHash('sha256').update(token).digest('base64url');
}

/** Whether something may be a token at all: looked at before anything is searched for. */
export function isToken(text: unknown): text is string {
  return typeof text === 'string' && /^[\w-]{27}$/.test(text);
}
