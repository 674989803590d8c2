import { createHash, X509Certificate } from 'node:crypto';
import { readFileSync } from 'node:fs';
import https from 'node:https';
import path from 'node:path';
import { chromium, type Browser, type Page } from '@playwright/test';
import jsQR from 'jsqr';
import { PNG } from 'pngjs';
import type { RoanServer } from './roanServer';

/** The root that a Roan made, as a device takes it. */
export const rootOf = ({ folder }: RoanServer): string =>
  readFileSync(path.join(folder, 'network', 'root.pem'), 'utf8');

/** A browser that trusts that root and no other of its kind. */
export function trustingBrowser(roan: RoanServer): Promise<Browser> {
  const key = new X509Certificate(rootOf(roan)).publicKey.export({ type: 'spki', format: 'der' });
  const pin = createHash('sha256').update(key).digest('base64');
  return chromium.launch({
    executablePath: process.env.ROAN_CHROMIUM ?? '/usr/bin/chromium',
    args: ['--no-sandbox', '--disable-gpu', '--disable-quic', `--ignore-certificate-errors-spki-list=${pin}`],
  });
}

/** What a code on the page says, read from the picture of it as a camera does. */
export async function scanned(page: Page, label: RegExp): Promise<string> {
  const shot = PNG.sync.read(await page.getByRole('img', { name: label }).screenshot());
  const read = jsQR(new Uint8ClampedArray(shot.data), shot.width, shot.height);
  if (!read) throw new Error('There is no code to read in the picture.');
  return read.data;
}

export type Answer = { status: number; headers: Record<string, string | string[] | undefined>; text: string };

/** Asks over HTTPS as a program does that trusts the root. */
export function askSecurely(
  roan: RoanServer,
  at: string,
  { method = 'GET', headers = {}, body }: { method?: string; headers?: Record<string, string>; body?: string } = {},
): Promise<Answer> {
  return new Promise((resolve, reject) => {
    const asked = https.request(
      {
        hostname: '127.0.0.1',
        port: roan.port,
        path: at,
        method,
        headers,
        ca: rootOf(roan),
        checkServerIdentity: () => undefined,
      },
      response => {
        let text = '';
        response.on('data', chunk => (text += String(chunk)));
        response.on('end', () => resolve({ status: response.statusCode!, headers: response.headers, text }));
      },
    );
    asked.on('error', reject);
    asked.end(body);
  });
}
