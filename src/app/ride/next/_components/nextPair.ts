export type NextPair = { id: string; horse: string; rider: string };
