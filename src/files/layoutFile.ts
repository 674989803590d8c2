import type { Layout } from '@/core';
import type { z } from 'zod';
import { tiesFault } from './layoutFaults';
import { LayoutOnPaper } from './layoutOnPaper';
import { layoutFromPaper } from './layoutPaper';

export { writeLayout } from './layoutPaper';

/** Reads and writes the layout file. */

export type ReadLayout = { ok: true; layout: Layout } | { ok: false; reason: string };

const refuse = (reason: string): ReadLayout => ({ ok: false, reason });

/** Reads the text of a layout file, whole or not at all; says what is wrong and where. */
export function readLayoutText(text: string): ReadLayout {
  let json: unknown;
  try {
    json = JSON.parse(text);
  } catch {
    return refuse('The file is not JSON.');
  }
  return readLayout(json);
}

/** Reads a layout file that was parsed as JSON. */
export function readLayout(json: unknown): ReadLayout {
  const version = versionFault(json);
  if (version) return refuse(version);
  const parsed = LayoutOnPaper.safeParse(json);
  if (!parsed.success) return refuse(issueSentence(parsed.error));
  const fault = tiesFault(parsed.data);
  return fault ? refuse(fault) : { ok: true, layout: layoutFromPaper(parsed.data) };
}

function versionFault(json: unknown): string | null {
  if (typeof json !== 'object' || json === null || Array.isArray(json))
    return 'The file is not a layout: it is no object.';
  const { format, version } = json as { format?: unknown; version?: unknown };
  if (format !== 'roan-layout') return 'format: this is not a Roan layout file.';
  if (version !== 1)
    return `version: this Roan reads version 1 of the layout file, and this one says ${JSON.stringify(version) ?? 'nothing'}.`;
  return null;
}

function issueSentence(error: z.ZodError): string {
  const issue = error.issues[0]!;
  const path = issue.path.map(String).join('.') || 'the file';
  if (issue.code === 'unrecognized_keys')
    return `${path}: unknown ${issue.keys.length === 1 ? 'key' : 'keys'} ${issue.keys.map(key => `“${key}”`).join(', ')}.`;
  return `${path}: ${issue.message}.`;
}
