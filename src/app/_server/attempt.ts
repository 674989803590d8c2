import 'server-only';
import type { FormOutcome } from '@/files/formOutcome';
import { unstable_rethrow } from 'next/navigation';
import { faultOf } from './faultOf';

/** Runs what a form asks for; whatever goes wrong comes back as a sentence, and what is a fault of Roan's own is written down. */
export async function attempt<Extra extends object>(
  action: () => Promise<FormOutcome<Extra>>,
): Promise<FormOutcome<Extra>> {
  try {
    return await action();
  } catch (error) {
    // Going elsewhere and finding nothing are said by throwing, and are the framework's.
    unstable_rethrow(error);
    return { ok: false, fields: {}, problem: faultOf(error).problem };
  }
}
