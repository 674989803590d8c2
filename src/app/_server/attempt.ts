import 'server-only';
import type { FormOutcome } from '@/files/formOutcome';
import { unstable_rethrow } from 'next/navigation';
import { AccessRefused } from './access/accessRefused';
import { underRule } from './access/entered';
import type { Rule } from './access/rules';
import { faultOf } from './faultOf';
import { refuse } from '@/app/_server/refusal';

/** Runs what a form asks for, under its rule; whatever goes wrong comes back as a sentence, and what is a fault of Roan's own is written down. */
export async function attempt<Extra extends object>(
  rule: Rule,
  action: () => Promise<FormOutcome<Extra>>,
): Promise<FormOutcome<Extra>> {
  try {
    return await underRule(rule, action);
  } catch (error) {
    // Going elsewhere and finding nothing are said by throwing, and are the framework's.
    unstable_rethrow(error);
    if (error instanceof AccessRefused) return refuse(error.message);
    return refuse(faultOf(error).problem);
  }
}
