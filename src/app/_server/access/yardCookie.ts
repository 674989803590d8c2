import 'server-only';
import { cookies } from 'next/headers';
import { carriedCookie } from './asking';

/** Which yard an open machine is in: there is no session that would say so. */
const NAME = 'roan-yard';

export const chosenYard = (): Promise<string | null> => carriedCookie(NAME);

export async function chooseYard(yardId: string): Promise<void> {
  (await cookies()).set(NAME, yardId, { httpOnly: true, sameSite: 'lax', path: '/', maxAge: 365 * 24 * 3600 });
}
