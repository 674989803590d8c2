export type Finding = { ok: boolean; says: string };
export function fileFindings(folder: string, databaseFile: string): Finding[];
export function hostFindings(environment: Record<string, string | undefined>): Finding[];
export function certificateFindings(
  folder: string,
  places: { names: string[]; addresses: string[] },
  nowMs: number,
): Finding[];
