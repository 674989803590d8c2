export function logLine(what: string, told?: Record<string, unknown>): string;
export function plainPath(url: string | undefined): string;
export function logAnswers(
  request: { method?: string; url?: string },
  response: { statusCode: number; once: (event: 'close', then: () => void) => unknown },
): void;
