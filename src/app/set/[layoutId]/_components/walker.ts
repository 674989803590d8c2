export type Walker = { id: string; name: string; stepLengthM: number; stepShare: number };
