import type { IncomingMessage, ServerResponse } from 'node:http';

export function isPage(request: { method?: string; url: string }): boolean;
export function pagesBeside(
  where: { hostname: string; port: number },
  how?: { afterMs?: number; againMs?: number; thread?: URL },
): {
  answer: (request: IncomingMessage, response: ServerResponse, otherwise: () => void) => boolean;
  end: () => void;
};
