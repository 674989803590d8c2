export type Finding = { ok: boolean; says: string };
export function fileFindings(folder: string, databaseFile: string): Finding[];
export function hostFindings(environment: Record<string, string | undefined>): Finding[];
export function certificateFindings(
  folder: string,
  places: { names: string[]; addresses: string[] },
  nowMs: number,
): Finding[];
export function diskFindings(folder: string): Finding[];
export function backupFindings(folders: string[], nowMs: number): Finding[];
export function clockFindings(nowMs: number, latestMs: number | null): Finding[];
export function versionFindings(versions: {
  node: string;
  roan: string;
  newestKnownMs: number;
  appliedMs: number | null;
}): Finding[];
export function databaseFindings(looked: {
  check: string[];
  broken: number;
  asked: 'file' | 'server';
  ms: number;
}): Finding[];
