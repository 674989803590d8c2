import { existsSync } from 'node:fs';
import { giveUp, run } from './run.mjs';

/** Debian's Chromium without a screen is the same browser without what nobody sees: journeys take a quarter less. */
const SHELL = '/usr/bin/chromium-headless-shell';
const PLACES = [SHELL, '/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

/** The path of a Chromium for the journeys; as root on Debian it is installed from Debian's packages. */
export async function ensureChromium() {
  const chosen = process.env.ROAN_CHROMIUM;
  if (chosen) return existsSync(chosen) ? chosen : giveUp(`ROAN_CHROMIUM names ${chosen}, which is not there.`);
  if (existsSync(SHELL)) return SHELL;
  const found = PLACES.find(existsSync);
  const mayInstall = process.getuid?.() === 0 && existsSync('/usr/bin/apt-get');
  if (mayInstall && (await install('chromium-headless-shell')).code === 0 && existsSync(SHELL)) return SHELL;
  if (found) return found;
  if (!mayInstall)
    giveUp(
      'The journeys need Chromium: install it (on Debian: apt-get install chromium) or set ROAN_CHROMIUM to its path.',
    );
  const { code, output } = await install('chromium');
  if (code !== 0) giveUp('Chromium could not be installed from Debian’s packages: see above.', output);
  return PLACES.find(existsSync);
}

async function install(name) {
  console.log('Installing Chromium …');
  // Without a network it is soon over.
  const soon = ['-o', 'Acquire::Retries=0', '-o', 'Acquire::http::Timeout=20', '-o', 'Acquire::https::Timeout=20'];
  await run('apt-get', [...soon, 'update', '-qq'], { quiet: true });
  return run('apt-get', [...soon, 'install', '-y', '-qq', '--no-install-recommends', name], {
    env: { DEBIAN_FRONTEND: 'noninteractive' },
    quiet: true,
  });
}
