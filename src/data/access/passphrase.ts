import { hash, verify } from '@node-rs/argon2';

/** Common practice, no source: shorter than this is guessed. */
export const LEAST_PASSPHRASE = 10;
export const MOST_PASSPHRASE = 200;

/** Argon2id as OWASP's cheat sheet has it (from memory): 19 MiB, two passes, one lane. */
const COSTS = { memoryCost: 19_456, timeCost: 2, parallelism: 1 };

/** Why a passphrase cannot be one; null where it can. */
export function passphraseFault(passphrase: string): string | null {
  if (passphrase.length < LEAST_PASSPHRASE)
    return `A passphrase has at least ${LEAST_PASSPHRASE} letters: a few words do.`;
  if (passphrase.length > MOST_PASSPHRASE) return `A passphrase has at most ${MOST_PASSPHRASE} letters.`;
  return new Set(passphrase).size < 4 ? 'That is guessed at once: take a few words.' : null;
}

/** A passphrase as it is kept: slow and wide to try, with a salt of its own. */
export function hashPassphrase(passphrase: string): Promise<string> {
  return hash(passphrase.normalize('NFC'), COSTS);
}

/** Something to check against where nobody is meant, so that it takes as long. */
const NOBODY = hashPassphrase('nobody has this passphrase');

/** Whether a passphrase is the one that was kept; where none was, it takes as long and is not. */
export async function isPassphrase(kept: string | null, passphrase: string): Promise<boolean> {
  const known = kept ?? (await NOBODY);
  const fits = await verify(known, passphrase.slice(0, MOST_PASSPHRASE + 1).normalize('NFC')).catch(() => false);
  return fits && kept !== null;
}
