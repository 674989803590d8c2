import { fileDigest } from './fileDigest';

export type SendStep = { step: 'reading' | 'sending' | 'waiting'; share: number };
export type SentAnswer =
  { kind: 'taken'; body: Record<string, unknown> } | { kind: 'refused'; problem: string } | { kind: 'stopped' };

export const NOT_SENT = 'The connection broke, and nothing of it was kept: send it again.';

/**
 * Sends a file as it is, with its hash, so that the server can say whether it arrived whole. The hash is read first: it stands before
 * the file.
 */
export async function uploadFile(
  url: string,
  file: File,
  stop: AbortSignal,
  told: (step: SendStep) => void,
): Promise<SentAnswer> {
  try {
    const digest = await fileDigest(file, stop, share => told({ step: 'reading', share }));
    return await post(url, file, digest, stop, told);
  } catch {
    return stop.aborted
      ? { kind: 'stopped' }
      : { kind: 'refused', problem: 'This file cannot be read any more: choose it again.' };
  }
}

/** `fetch` tells nothing of what was sent so far. */
function post(
  url: string,
  file: File,
  digest: string,
  stop: AbortSignal,
  told: (step: SendStep) => void,
): Promise<SentAnswer> {
  return new Promise(resolve => {
    const request = new XMLHttpRequest();
    const halt = () => request.abort();
    const end = (answer: SentAnswer) => {
      stop.removeEventListener('abort', halt);
      resolve(answer);
    };
    request.open('POST', url);
    request.responseType = 'json';
    request.setRequestHeader('content-type', file.type || 'application/octet-stream');
    request.setRequestHeader('content-digest', digest);
    request.upload.onprogress = ({ loaded, total }) => told({ step: 'sending', share: total > 0 ? loaded / total : 0 });
    request.upload.onload = () => told({ step: 'waiting', share: 1 });
    request.onload = () => end(answerOf(request));
    request.onerror = () => end({ kind: 'refused', problem: NOT_SENT });
    request.onabort = () => end({ kind: 'stopped' });
    stop.addEventListener('abort', halt);
    request.send(file);
  });
}

function answerOf({ status, response }: XMLHttpRequest): SentAnswer {
  const body = response as Record<string, unknown> | null;
  if (status >= 200 && status < 300 && body) return { kind: 'taken', body };
  return { kind: 'refused', problem: typeof body?.problem === 'string' ? body.problem : NOT_SENT };
}
