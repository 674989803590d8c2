import 'server-only';
import { THREAD_COOKIE } from '@/components/Shell/threadName';
import { cookies } from 'next/headers';

/** What a device works on is of one yard: in another one it works on nothing yet. */
export async function forgetThread(): Promise<void> {
  (await cookies()).delete(THREAD_COOKIE);
}
