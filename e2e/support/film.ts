import type { Page } from '@playwright/test';

/** A film, made by the browser itself: a square that moves for so many seconds, as WebM. Like what a phone records, it does not say how long it is. */
export async function recordedFilm(page: Page, lengthS = 0.66): Promise<Buffer> {
  const text = await page.evaluate(
    async frames => {
      const canvas = Object.assign(document.createElement('canvas'), { width: 64, height: 48 });
      const context = canvas.getContext('2d')!;
      const recorder = new MediaRecorder(canvas.captureStream(30), { mimeType: 'video/webm' });
      const parts: Blob[] = [];
      recorder.ondataavailable = ({ data }) => parts.push(data);
      const stopped = new Promise(resolve => (recorder.onstop = resolve));
      recorder.start();
      for (let frame = 0; frame < frames; frame += 1) {
        context.fillStyle = frame % 2 ? '#753' : '#fed';
        context.fillRect(0, 0, 64, 48);
        context.fillStyle = '#222';
        context.fillRect((frame * 3) % 60, 20, 8, 8);
        await new Promise(resolve => setTimeout(resolve, 33));
      }
      recorder.stop();
      await stopped;
      const bytes = new Uint8Array(await new Blob(parts).arrayBuffer());
      return btoa(Array.from(bytes, byte => String.fromCharCode(byte)).join(''));
    },
    Math.round(lengthS * 30),
  );
  return Buffer.from(text, 'base64');
}
