import type { Layout } from '@/core';
import type { z } from 'zod';
import { tiesFault } from './layoutFaults';
import { LayoutOnPaper } from './layoutOnPaper';
import { layoutFromPaper, withNames } from './layoutPaper';

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
  const fault = (parsed.data.version === 1 ? newerKeyFault(parsed.data) : null) ?? tiesFault(parsed.data);
  return fault ? refuse(fault) : { ok: true, layout: layoutFromPaper(upgraded(parsed.data)) };
}

/** A file of version 1 as it would be written now. */
function upgraded(paper: LayoutOnPaper): LayoutOnPaper {
  if (paper.version === 2) return paper;
  return { ...paper, items: withNames(paper.items), tracks: withNames(paper.tracks) };
}

/** Keys that version 1 does not have. */
function newerKeyFault({ items, tracks, horses }: LayoutOnPaper): string | null {
  const unknown = (path: string, part: object, keys: readonly string[]) => {
    const key = keys.find(one => one in part);
    return key === undefined ? null : `${path}: unknown key “${key}”.`;
  };
  const first = (found: (string | null)[]) => found.find(one => one !== null) ?? null;
  return (
    first(items.map((item, i) => unknown(`items.${i}`, item, ['name']))) ??
    first(tracks.map((track, i) => unknown(`tracks.${i}`, track, ['name']))) ??
    first(
      tracks.flatMap(({ figure, figures = [] }, t) => [
        figure ? unknown(`tracks.${t}.figure`, figure, ['id', 'name']) : null,
        ...figures.map((one, f) => unknown(`tracks.${t}.figures.${f}`, one, ['id', 'name'])),
      ]),
    ) ??
    first(horses.map((horse, i) => unknown(`horses.${i}`, horse, ['id'])))
  );
}

function versionFault(json: unknown): string | null {
  if (typeof json !== 'object' || json === null || Array.isArray(json))
    return 'The file is not a layout: it is no object.';
  const { format, version } = json as { format?: unknown; version?: unknown };
  if (format !== 'roan-layout') return 'format: this is not a Roan layout file.';
  if (version !== 1 && version !== 2)
    return `version: this Roan reads versions 1 and 2 of the layout file, and this one says ${JSON.stringify(version) ?? 'nothing'}.`;
  return null;
}

function issueSentence(error: z.ZodError): string {
  const issue = error.issues[0]!;
  const path = issue.path.map(String).join('.') || 'the file';
  if (issue.code === 'unrecognized_keys')
    return `${path}: unknown ${issue.keys.length === 1 ? 'key' : 'keys'} ${issue.keys.map(key => `“${key}”`).join(', ')}.`;
  return `${path}: ${issue.message}.`;
}
