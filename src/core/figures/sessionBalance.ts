import type { TrackGait } from '../layout/trackGait';
import { REINS, type Rein } from '../track/rein';
import type { SessionMeasure } from './measureSession';

/** A rein that has clearly less work in a gait than the other. */
export type Lack = {
  gait: TrackGait;
  rein: Rein;
  /** How much less than the other, a share of that. */
  lessShare: number;
  /** What would even it, metres. */
  lessM: number;
};

/** What of a session is not even. */
export type SessionBalance = {
  lacks: Lack[];
  /** So much of it is on the rail that riders learn little, 0 to 1; null where it is not. */
  onRailShare: number | null;
};

/** Common practice, no source: a quarter less on one rein is no longer even. */
const UNEVEN_SHARE = 0.25;
/** Less work in a gait than this is too little to be uneven, metres: a long side. */
const LEAST_M = 60;
/** Common practice, no source: more than this on the rail is riding round and round. */
const MOST_ON_RAIL = 0.6;

/** What is missing for an even session: work in each gait on both reins, and off the rail; the most uneven first. */
export function sessionBalance({ workMetres, onRailShare }: SessionMeasure): SessionBalance {
  const lacks = Object.entries(workMetres).flatMap(([gait, metres]): Lack[] => {
    const [rein, other] = [...REINS].sort((a, b) => metres[a] - metres[b]) as [Rein, Rein];
    const lessM = metres[other] - metres[rein];
    const lessShare = metres[other] === 0 ? 0 : lessM / metres[other];
    if (metres[other] < LEAST_M || lessShare < UNEVEN_SHARE) return [];
    return [{ gait: gait as TrackGait, rein, lessShare, lessM }];
  });
  return {
    lacks: lacks.sort((a, b) => b.lessM - a.lessM),
    onRailShare: onRailShare > MOST_ON_RAIL ? onRailShare : null,
  };
}

/** The circle that evens a rein best: its diameter and whole rounds, at least one. */
export function eveningCircle({ lessM }: Lack, arenaWidthM: number): { diameterM: number; rounds: number } {
  const diameterM = Math.min(20, Math.floor(arenaWidthM));
  return { diameterM, rounds: Math.min(12, Math.max(1, Math.round(lessM / (Math.PI * diameterM)))) };
}
