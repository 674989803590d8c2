import { parseLength, type LengthUnit, type WalkedWall } from '@/core';

export type ReadWalls = { ok: true; walls: WalkedWall[] } | { ok: false; reason: string };

const TURNS: Record<string, number> = { left: 90, right: -90 };

/** Walls as they were typed, one to a line: "20 left", "8.5 right", "12 45". */
export function readWalls(typed: string, unit: LengthUnit): ReadWalls {
  const lines = typed.split(/\n/).map(line => line.trim());
  const walls: WalkedWall[] = [];
  for (const [index, line] of lines.entries()) {
    if (line === '') continue;
    const parts = /^(.+?)\s+(left|right|-?\d{1,3})$/i.exec(line);
    if (!parts) return { ok: false, reason: `Line ${index + 1}: a length, and left, right or degrees.` };
    const length = parseLength(parts[1]!, { defaultUnit: unit });
    if (!length.ok) return { ok: false, reason: `Line ${index + 1}: “${parts[1]}” is no length.` };
    const turn = parts[2]!.toLowerCase();
    const turnLeftDeg = TURNS[turn] ?? Number(turn);
    if (Math.abs(turnLeftDeg) >= 180)
      return { ok: false, reason: `Line ${index + 1}: a wall turns by less than 180°.` };
    walls.push({ lengthM: length.lengthM, turnLeftDeg });
  }
  return walls.length < 3 ? { ok: false, reason: 'Three walls at least, one to a line.' } : { ok: true, walls };
}
