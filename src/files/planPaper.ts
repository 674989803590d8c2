import { facingFromHeading, type Plan } from '@/core';
import { itemToPaper, trackToPaper } from './layoutPaper';
import type { PlanOnPaper } from './planDocument';

/** Writes a plan as it is stored and sent. */
export function writePlan(plan: Plan): PlanOnPaper {
  return {
    format: 'roan-plan',
    version: 3,
    school: plan.school,
    group: plan.groupIds,
    items: plan.items.map(itemToPaper),
    tracks: plan.tracks.map(trackToPaper),
    exercises: plan.exercises.map(({ place, horseIds, params, name, ...placed }) => ({
      ...placed,
      ...(name === null ? {} : { name }),
      params: Object.fromEntries(
        Object.entries(params).map(([key, value]) => [key, typeof value === 'object' ? copied(value) : value]),
      ),
      at: place.at,
      facingDeg: facingFromHeading(place.headingRad),
      horses: horseIds,
    })),
    locked: plan.lockedIds,
  };
}

/** A list of its own, of words or of numbers. */
function copied(list: readonly string[] | readonly number[]): string[] | number[] {
  return (list as readonly unknown[]).slice() as string[] | number[];
}
