import { createHash, X509Certificate } from 'node:crypto';
import { mkdtempSync, rmSync, writeFileSync } from 'node:fs';
import http from 'node:http';
import https from 'node:https';
import { tmpdir } from 'node:os';
import path from 'node:path';
import tls from 'node:tls';
import { chromium } from '@playwright/test';
import { generate } from 'selfsigned';
import { expect, test } from './support/fixtures';
import { RoanServer } from './support/roanServer';

const PASSPHRASE = 'seven teasels by the gate';
const NAME = 'roan.teasel.example';

/** A certificate of one's own for that name. */
async function ownCertificate() {
  const made = await generate([{ name: 'commonName', value: NAME }], {
    ...{ keyType: 'ec', curve: 'P-256', algorithm: 'sha256' },
    extensions: [{ name: 'subjectAltName', altNames: [{ type: 2, value: NAME }] }],
  });
  const key = new X509Certificate(made.cert).publicKey.export({ type: 'spki', format: 'der' });
  return { cert: made.cert, key: made.private, pin: createHash('sha256').update(key).digest('base64') };
}

/** A server before Roan, as a yard's own may be: it speaks HTTPS, and says in headers who asked for what. */
async function proxyTo(roan: RoanServer, { cert, key }: { cert: string; key: string }): Promise<https.Server> {
  const server = https.createServer({ cert, key }, (request, response) => {
    const headers = {
      ...request.headers,
      'x-forwarded-for': [request.headers['x-forwarded-for'], request.socket.remoteAddress].filter(Boolean).join(', '),
      'x-forwarded-host': request.headers.host,
      'x-forwarded-proto': 'https',
    };
    const { method, url } = request;
    const asked = http.request({ hostname: '127.0.0.1', port: roan.port, path: url, method, headers }, answer => {
      response.writeHead(answer.statusCode!, answer.headers);
      answer.pipe(response);
    });
    asked.on('error', () => response.destroy());
    request.pipe(asked);
  });
  await new Promise<void>(resolve => server.listen(0, '127.0.0.1', resolve));
  return server;
}

test('behind a server of one’s own: signed in over its HTTPS, what is kept is kept, and foreign sites and names are refused', async () => {
  const own = await ownCertificate();
  const told = { ROAN_PASSPHRASE: PASSPHRASE, ROAN_TRUST_PROXY: '1', ROAN_HOSTS: NAME };
  const roan = await RoanServer.start('demo', undefined, { told });
  const proxy = await proxyTo(roan, own);
  const at = `https://${NAME}:${(proxy.address() as { port: number }).port}`;
  const browser = await chromium.launch({
    executablePath: process.env.ROAN_CHROMIUM ?? '/usr/bin/chromium',
    args: [
      ...['--no-sandbox', '--disable-gpu', '--disable-quic', `--host-resolver-rules=MAP ${NAME} 127.0.0.1`],
      `--ignore-certificate-errors-spki-list=${own.pin}`,
    ],
  });
  try {
    const page = await browser.newPage();
    await page.goto(`${at}/plan`);
    await expect(page).toHaveURL(`${at}/sign-in?to=%2Fplan`);
    await page.getByLabel('Name').fill('Maud Ferrier');
    await page.getByRole('textbox', { name: 'Passphrase' }).fill(PASSPHRASE);
    await page.getByRole('button', { name: 'Sign in' }).click();
    await page.waitForURL(`${at}/plan`);
    const [cookie] = (await page.context().cookies()).filter(({ name }) => name.includes('roan'));
    expect(cookie).toMatchObject({ name: '__Host-roan', httpOnly: true, secure: true, sameSite: 'Lax' });
    // What is kept by an action and by a route: neither is taken for a foreign site.
    await page.goto(`${at}/yard/access`);
    await page
      .getByRole('row', { name: /^Jory Pell/ })
      .getByRole('button', { name: 'Link for a device' })
      .click();
    await expect(page.getByRole('img', { name: /A device for Jory Pell/ })).toBeVisible();
    const kept = await page.evaluate(async () => {
      const headers = { 'content-type': 'application/json' };
      return (await fetch('/api/record', { method: 'POST', headers, body: '{}' })).status;
    });
    // Looked at and found wanting, not refused at the door.
    expect(kept).toBe(400);
    // A foreign site is still refused; so is a name that is not Roan's.
    const foreign = await fetch(`${roan.url}/api/record`, {
      method: 'POST',
      headers: { origin: 'https://evil.example', 'x-forwarded-host': NAME, 'x-forwarded-proto': 'https' },
    });
    expect(foreign.status).toBe(403);
    expect((await fetch(`${roan.url}/plan`, { headers: { 'x-forwarded-host': 'evil.example' } })).status).toBe(421);
  } finally {
    await browser.close();
    proxy.closeAllConnections();
    proxy.close();
    await roan.stop();
  }
});

test('a certificate of one’s own is what a device sees', { tag: '@full' }, async () => {
  const own = await ownCertificate();
  const folder = mkdtempSync(path.join(tmpdir(), 'roan-own-'));
  const [cert, key] = [path.join(folder, 'own.pem'), path.join(folder, 'own.key')];
  writeFileSync(cert, own.cert);
  writeFileSync(key, own.key);
  const args = ['--network', '--cert', cert, '--key', key];
  const roan = await RoanServer.start('demo', undefined, {
    args,
    told: { ROAN_HOSTS: NAME, ROAN_PASSPHRASE: PASSPHRASE },
  });
  try {
    const seen = await new Promise<string>((resolve, reject) => {
      const socket = tls.connect({ port: roan.port, host: '127.0.0.1', ca: own.cert, servername: NAME }, () => {
        resolve(socket.getPeerX509Certificate()!.fingerprint256);
        socket.end();
      });
      socket.on('error', reject);
    });
    expect(seen).toBe(new X509Certificate(own.cert).fingerprint256);
  } finally {
    await roan.stop();
    rmSync(folder, { recursive: true, force: true });
  }
});
