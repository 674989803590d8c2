import 'server-only';
import { createHash, timingSafeEqual } from 'node:crypto';

/**
 * Whether a code is the one that the start printed where only its owner reads it. Without one nobody who merely reaches the
 * network can take a new Roan for themselves.
 */
export function isSetupCode(typed: string): boolean {
  const code = process.env.ROAN_SETUP_CODE ?? '';
  const digest = (text: string) => createHash('sha256').update(text).digest();
  return code !== '' && timingSafeEqual(digest(typed.trim().toLowerCase()), digest(code));
}
