import { ensureBuilt } from '../../scripts/lib/prepare.mjs';

/** Journeys run side by side, each with a server of its own: what they all serve is built once, before the first. */
export default async function builtFirst() {
  await ensureBuilt();
}
