import 'server-only';
import { inOneTurn } from '@/data/takingTurns';
import { AccessRefused } from './access/accessRefused';
import { underRule } from './access/entered';
import type { Rule } from './access/rules';
import { faultOf } from './faultOf';
import { ownNames } from './guards/hosts';
import { requestFault } from './guards/requestFault';

const names = ownNames();

/**
 * A route under its rule that looks at who asks before it reads anything, and that answers with a status and a sentence whatever goes wrong: 4xx
 * for what the sender did, 503 for a store that cannot take it now.
 */
export function answering<Context = unknown>(
  rule: Rule,
  answer: (request: Request, context: Context) => Response | Promise<Response>,
): (request: Request, context: Context) => Promise<Response> {
  return async (request, context) => {
    const fault = requestFault(request, names);
    if (fault) return problemAnswer(fault.status, fault.problem);
    try {
      const work = () => underRule(rule, () => answer(request, context));
      return await (request.method === 'GET' ? work() : inOneTurn(work));
    } catch (error) {
      if (error instanceof AccessRefused) return problemAnswer(error.status, error.message);
      const { status, problem } = faultOf(error);
      return problemAnswer(status, problem);
    }
  };
}

/** An answer that says in a sentence what is wrong. */
export function problemAnswer(status: number, problem: string): Response {
  const headers: Record<string, string> = status === 503 ? { 'retry-after': '2' } : {};
  return Response.json({ problem }, { status, headers });
}
