import type { LayoutEdit, PointM, FigureDrag } from '@/core';

/** What a hand does with what stands, as data: the page sends it to where it is reckoned and painted. */
export type Hand =
  | {
      kind: 'things';
      ids: string[];
      /** The item under the hand. */
      item: string;
      /** How far the hand went. */
      by: PointM;
      /** Nothing draws what is dragged. */
      free: boolean;
      /** How near something draws it, metres. */
      reachM: number;
      /** The id of the horse whose whole strides draw a fence. */
      horse: string | null;
    }
  | { kind: 'turn'; ids: string[]; about: PointM; towards: PointM; free: boolean }
  | { kind: 'edits'; edits: LayoutEdit[] }
  /** A distance of an exercise that is dragged to so many metres of ground. */
  | { kind: 'gap'; track: string; leg: number; groundM: number }
  | ({ kind: 'figure' } & FigureDrag);
