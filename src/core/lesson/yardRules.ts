import { RIDE_FAULTS, RIDER_MARKS } from '../record/passMark';
import type { RiderWork } from './riderWork';
import { USUAL_GATE, type GateRule } from './stageGate';
import { USUAL_LEAN_RAD } from '../track/turnCost';
import type { GaitWords } from '../words/gaitWords';
import { USUAL_WORK_LIMITS, type WorkLimits } from '../work/workCounts';

/**
 * How a yard teaches: when a stage is earned, what a horse may do in a day, how far its horses lean into a turn (null where
 * turns are taken to cost no stride), the words it marks
 * with, and what it calls the gaits.
 */
export type YardRules = {
  gate: GateRule;
  limits: WorkLimits;
  leanDeg: number | null;
  faults: string[];
  riderMarks: string[];
  gaitWords: GaitWords;
  /** Its own work for the rider. */
  riderWork: RiderWork[];
};

/** Common practice, no source: what holds until a yard says otherwise. */
export const USUAL_RULES: YardRules = {
  ...{
    gate: USUAL_GATE,
    limits: USUAL_WORK_LIMITS,
    leanDeg: Math.round((USUAL_LEAN_RAD * 180) / Math.PI),
    faults: [...RIDE_FAULTS],
    riderMarks: [...RIDER_MARKS],
    gaitWords: 'english',
    riderWork: [],
  },
};
