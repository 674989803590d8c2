import { RIDE_FAULTS, RIDER_MARKS } from '../record/passMark';
import { USUAL_GATE, type GateRule } from './stageGate';
import { USUAL_WORK_LIMITS, type WorkLimits } from '../work/workCounts';

/** How a yard teaches: when a stage is earned, what a horse may do in a day, and the words it marks with. */
export type YardRules = { gate: GateRule; limits: WorkLimits; faults: string[]; riderMarks: string[] };

/** Common practice, no source: what holds until a yard says otherwise. */
export const USUAL_RULES: YardRules = {
  ...{ gate: USUAL_GATE, limits: USUAL_WORK_LIMITS, faults: [...RIDE_FAULTS], riderMarks: [...RIDER_MARKS] },
};
