import type { IncomingMessage, ServerResponse } from 'node:http';

export function isTap(request: Pick<IncomingMessage, 'method' | 'url' | 'headers'>): boolean;
export function answerTap(request: IncomingMessage, response: ServerResponse): Promise<void>;
