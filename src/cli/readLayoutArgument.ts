import { readFileSync } from 'node:fs';
import type { Layout } from '@/core';
import { readLayoutText } from '@/files/layoutFile';
import { refuse } from './refuse';

/** The layout in the one file that a command was given; anything else is refused in a sentence. */
export function readLayoutArgument(files: readonly string[], command: string): Layout {
  const [file, ...more] = files;
  if (file === undefined || more.length > 0)
    refuse(`Say which layout file: npm run --silent ${command} -- FILE.roan.json`);
  let text: string;
  try {
    text = readFileSync(file, 'utf8');
  } catch {
    refuse(`${file}: this file cannot be read.`);
  }
  const read = readLayoutText(text);
  if (!read.ok) refuse(`${file}: ${read.reason}`);
  return read.layout;
}
