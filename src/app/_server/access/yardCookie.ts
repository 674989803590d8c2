import 'server-only';
import { cookies } from 'next/headers';

/** Which yard an open machine is in: there is no session that would say so. */
const NAME = 'roan-yard';

export async function chosenYard(): Promise<string | null> {
  return (await cookies()).get(NAME)?.value ?? null;
}

export async function chooseYard(yardId: string): Promise<void> {
  (await cookies()).set(NAME, yardId, { httpOnly: true, sameSite: 'lax', path: '/', maxAge: 365 * 24 * 3600 });
}
