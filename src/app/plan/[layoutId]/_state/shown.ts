import type { Plan, PlanGround, ReckonedTrack, ResolvedPlan } from '@/core';

export type EditorGround = Omit<PlanGround, 'name'>;

/** A layout as it stands on the screen: what it comes to, and every track of it reckoned. */
export type Shown = { plan: Plan; resolved: ResolvedPlan; tracks: ReckonedTrack[] };
