import { Agent, request } from 'node:http';

/** A device keeps its line open, as browsers do. Plain requests: what the devices cost is not to be measured. */
const agent = new Agent({ keepAlive: true });

/** What a device sends; null where there was no answer. */
export function post(
  url: string,
  headers: Record<string, string>,
  sent: unknown,
): Promise<{ status: number; body: string } | null> {
  return new Promise(resolve => {
    const asked = request(
      url,
      { method: 'POST', agent, headers: { ...headers, 'content-type': 'application/json' } },
      answer => {
        let body = '';
        answer.setEncoding('utf8').on('data', chunk => (body += chunk));
        answer.on('end', () => resolve({ status: answer.statusCode ?? 0, body }));
      },
    );
    asked.on('error', () => resolve(null));
    asked.end(JSON.stringify(sent));
  });
}
