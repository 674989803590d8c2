import type { LegCell } from '@/components/pictures/LegBoardPicture';
import { countsInOrder, countsRidden, nextSetting, type ReviewPass, type StrideEntryKey } from '@/core';

/** A question that pairs rode last over a layout: its legs, and how each pair went in each. */
export type LegBoard = {
  key: string;
  words: string;
  /** What it is drawn from: a pass of it. */
  pass: ReviewPass;
  legs: { from: string; to: string; groundM: number }[];
  rows: { pairId: string; clean: { of: number; hits: number }; cells: (LegCell | null)[] }[];
};

type StrideOf = (pairId: string) => (entry: StrideEntryKey) => number | null;

/** What each pair rode last over a layout, question by question, as boards of pairs by legs. */
export function legBoards(
  passes: readonly ReviewPass[],
  pairs: readonly { id: string }[],
  strideOf: StrideOf,
): LegBoard[] {
  const boards = new Map<string, LegBoard>();
  for (const { id } of pairs) {
    const own = passes.filter(pass => pass.pairId === id && !pass.isVoid);
    const last = own.at(-1);
    if (!last || last.ground.legs.length === 0) continue;
    const same = own.filter(pass => pass.layoutVersionId === last.layoutVersionId && pass.key === last.key);
    const boardKey = `${last.layoutVersionId} ${last.key}`;
    const board = boards.get(boardKey) ?? newBoard(boardKey, last);
    boards.set(boardKey, board);
    const clean = { of: same.length, hits: same.filter(({ faults }) => faults.length === 0).length };
    board.rows.push({ pairId: id, clean, cells: cellsOf(same, last, strideOf(id), clean) });
  }
  // The one that most pairs rode comes first.
  return [...boards.values()]
    .filter(({ rows }) => rows.some(({ cells }) => cells.some(cell => cell !== null)))
    .sort((a, b) => b.rows.length - a.rows.length);
}

function newBoard(key: string, pass: ReviewPass): LegBoard {
  const legs = pass.ground.legs.map(({ from, to, groundM }) => ({ from, to, groundM }));
  return { key, words: pass.questionWords, pass, legs, rows: [] };
}

function cellsOf(
  same: readonly ReviewPass[],
  last: ReviewPass,
  stride: ReturnType<StrideOf>,
  clean: { of: number; hits: number },
): (LegCell | null)[] {
  return last.ground.legs.map((leg, index) => {
    const strideM = leg.entry ? stride(leg.entry) : null;
    if (strideM === null) return null;
    const next = nextSetting(leg, strideM, clean);
    return { ...next, liesM: leg.groundM, asked: leg.asked, ridden: riddenIn(same, index + 1) };
  });
}

function riddenIn(passes: readonly ReviewPass[], place: number): LegCell['ridden'] {
  return countsInOrder(countsRidden(passes, place));
}
