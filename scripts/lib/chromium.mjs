import { existsSync } from 'node:fs';
import { giveUp, run } from './run.mjs';

const PLACES = ['/usr/bin/chromium', '/usr/bin/chromium-browser', '/usr/bin/google-chrome'];

/** The path of a Chromium for the journeys; as root on Debian it is installed from Debian's packages. */
export async function ensureChromium() {
  const chosen = process.env.ROAN_CHROMIUM;
  if (chosen) return existsSync(chosen) ? chosen : giveUp(`ROAN_CHROMIUM names ${chosen}, which is not there.`);
  const found = PLACES.find(existsSync);
  if (found) return found;
  if (process.getuid?.() !== 0 || !existsSync('/usr/bin/apt-get'))
    giveUp(
      'The journeys need Chromium: install it (on Debian: apt-get install chromium) or set ROAN_CHROMIUM to its path.',
    );
  console.log('Installing Chromium …');
  await run('apt-get', ['update', '-qq'], { quiet: true });
  const { code, output } = await run('apt-get', ['install', '-y', '-qq', '--no-install-recommends', 'chromium'], {
    env: { DEBIAN_FRONTEND: 'noninteractive' },
    quiet: true,
  });
  if (code !== 0) giveUp('Chromium could not be installed from Debian’s packages: see above.', output);
  return PLACES.find(existsSync);
}
