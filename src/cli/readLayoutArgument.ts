import { readFileSync } from 'node:fs';
import type { Layout } from '@/core';
import { readLayoutText } from '@/files/layoutFile';
import { refuse } from './refuse';

/**
 * The layouts in the files that a command was given, in their order; anything else is refused in a sentence, and then
 * nothing is printed of any of them.
 */
export function readLayoutArguments(files: readonly string[], command: string): Layout[] {
  if (files.length === 0) refuse(`Say which layout file: npm run --silent ${command} -- FILE.roan.json`);
  return files.map(readLayout);
}

function readLayout(file: string): Layout {
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

/** What is printed of some layouts: one JSON object as it is read by people, of several a line each. */
export function printedJson(outputs: readonly unknown[]): string {
  if (outputs.length === 1) return `${JSON.stringify(outputs[0], null, 2)}\n`;
  return outputs.map(output => `${JSON.stringify(output)}\n`).join('');
}
