import { polesHit, type PassRecord } from './passRecord';

/** Common practice, no source: the same fault three times is a question. */
export const SAME_FAULT_TIMES = 3;

/** The poles that were hit in three passes or more, and in how many. */
export function polesKeptHitting(passes: readonly Pick<PassRecord, 'marks'>[]): { pole: number; times: number }[] {
  const times = new Map<number, number>();
  for (const pass of passes) for (const pole of polesHit(pass)) times.set(pole, (times.get(pole) ?? 0) + 1);
  return [...times]
    .filter(([, count]) => count >= SAME_FAULT_TIMES)
    .map(([pole, count]) => ({ pole, times: count }))
    .sort((a, b) => a.pole - b.pole);
}
