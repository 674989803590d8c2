import { asSentence, DatabaseRefused, isOfStore, StoreFault } from '@/data/databaseRefused';
import { ZodError } from 'zod';
import { logFault } from './logFault';

export type Fault = { status: number; problem: string };

/**
 * What went wrong as a status and a sentence, in one place for all routes and actions: 422 for what will never be taken as it was
 * sent, 503 for what may be sent again, 500 for a fault of Roan's own, which is written to standard error.
 */
export function faultOf(error: unknown): Fault {
  if (error instanceof StoreFault) return told(error, error.cause ?? error);
  if (error instanceof DatabaseRefused) return { status: 422, problem: error.message };
  if (error instanceof ZodError)
    return { status: 400, problem: 'What was sent is not understood: open the page again.' };
  if (isOfStore(error)) return told(asSentence(error), error);
  logFault(error);
  return {
    status: 500,
    problem: 'Roan failed at this and has written down why. What was kept before is still there: try again.',
  };
}

function told(fault: DatabaseRefused, cause: unknown): Fault {
  logFault(cause, fault.message);
  return { status: 503, problem: fault.message };
}
