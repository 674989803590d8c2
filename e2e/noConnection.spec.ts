import { expect, test as base } from './support/fixtures';
import { Device, keeps } from './support/device';
import { RoanServer } from './support/roanServer';
import type { Page } from '@playwright/test';

const PASSPHRASE = 'seven teasels by the gate';

/** A Roan of the demo yard on the network, and a phone that trusts it. */
const test = base.extend<{ roan: RoanServer; device: Device }>({
  roan: async ({}, provide) => {
    const server = await RoanServer.start('demo', undefined, {
      ...{ args: ['--network'], told: { ROAN_PASSPHRASE: PASSPHRASE } },
    });
    await provide(server);
    await server.stop();
  },
  device: async ({ roan }, provide) => {
    const device = new Device(roan);
    await provide(device);
    await device.gone();
  },
});

async function signIn(page: Page, roan: RoanServer): Promise<void> {
  await page.goto(`${roan.url}/sign-in`);
  await page.getByLabel('Name').fill('Maud Ferrier');
  await page.getByRole('textbox', { name: 'Passphrase' }).fill(PASSPHRASE);
  await page.getByRole('button', { name: 'Sign in' }).click();
  await page.waitForURL(`${roan.url}/today`);
}

test('try', async ({ roan, device }) => {
  const page = await device.open();
  page.on('console', m => console.log(m.type(), m.text()));
  await signIn(page, roan);
  const t = Date.now();
  await keeps(page, '/waiting');
  console.log('kept in', Date.now() - t);
  console.log(await page.evaluate(async () => {
    const out: string[] = [];
    for (const name of await caches.keys()) {
      const c = await caches.open(name);
      for (const r of await c.keys()) if (!/_next/.test(r.url)) out.push(name + ' ' + r.url);
    }
    return out.join('\n');
  }));
  await roan.kill();
  const again = await device.open();
  again.on('console', m => console.log(m.type(), m.text()));
  await again.goto(`${roan.url}/`);
  console.log(again.url(), await again.title());
  await again.goto(`${roan.url}/today`);
  await again.waitForTimeout(3000);
  await again.screenshot({ path: '/tmp/off1.png' });
  await again.goto(`${roan.url}/review`);
  await again.screenshot({ path: '/tmp/off2.png' });
  await again.goto(`${roan.url}/ride`);
  await again.getByRole('link', { name: /run|Teach|Ride/ }).first().click();
  await again.waitForTimeout(4000);
  await again.screenshot({ path: '/tmp/off3.png' });
  console.log(again.url(), await again.title());
});
