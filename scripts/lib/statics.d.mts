import type { IncomingMessage, ServerResponse } from 'node:http';

export function packStatics(folder?: string): Promise<void>;
export function staticsFrom(
  folder?: string,
): (request: IncomingMessage, response: ServerResponse, otherwise: () => void) => boolean;
