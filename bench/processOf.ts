import { readFileSync } from 'node:fs';

/** Processor seconds that a process used, of Linux; 0 elsewhere. */
export function cpuS(pid: number): number {
  try {
    const fields = readFileSync(`/proc/${pid}/stat`, 'utf8').split(') ')[1]!.split(' ');
    return (Number(fields[11]) + Number(fields[12])) / 100;
  } catch {
    return 0;
  }
}

/** What a process holds of the machine's memory, MB, of Linux; 0 elsewhere. */
export function residentMb(pid: number): number {
  try {
    const line = /VmRSS:\s+(\d+) kB/.exec(readFileSync(`/proc/${pid}/status`, 'utf8'));
    return Number(line?.[1] ?? 0) / 1024;
  } catch {
    return 0;
  }
}
