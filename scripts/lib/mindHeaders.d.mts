export function mindHeaders(request: {
  headers: Record<string, string | string[] | undefined>;
  socket: { remoteAddress?: string };
}): void;
