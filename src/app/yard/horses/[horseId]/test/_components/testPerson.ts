export type TestPerson = { id: string; name: string; stepLengthM: number | null };
