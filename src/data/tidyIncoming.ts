import { existsSync, readdirSync, rmSync, statSync } from 'node:fs';
import path from 'node:path';

/** Longer than anything takes to arrive; another Roan may be taking something in beside this one. */
const OLD_MS = 24 * 3600 * 1000;

/**
 * Takes away what a server that was ended in the middle left behind: files that were on their way in, archives that were being made
 * ready, films that were half written.
 * @param incoming - the folder of what is on its way, all of it
 * @param videos - where films lie, among them half-written ones
 */
export function tidyIncoming({ incoming, videos }: { incoming: string; videos: string }, nowMs: number): void {
  const isOld = (file: string) => nowMs - statSync(file).mtimeMs > OLD_MS;
  const inside = (folder: string) =>
    existsSync(folder) ? readdirSync(folder).map(name => path.join(folder, name)) : [];
  const left = [...inside(incoming), ...inside(videos).filter(file => file.endsWith('.part'))].filter(isOld);
  for (const file of left) rmSync(file, { recursive: true, force: true });
}
