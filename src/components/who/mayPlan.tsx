'use client';

import { createContext, use, type ReactNode } from 'react';

const MayPlan = createContext(true);

/** Says to everything on the page whether whoever is there may plan and change: an instructor, or anybody at an open machine. */
export function MayPlanProvider({ mayPlan, children }: { mayPlan: boolean; children: ReactNode }) {
  return <MayPlan value={mayPlan}>{children}</MayPlan>;
}

/** Whether whoever is there may plan and change. What only an instructor may press is not shown to others. */
export const useMayPlan = (): boolean => use(MayPlan);

/** What is shown to those only who may plan and change. */
export function ForInstructors({ children }: { children: ReactNode }) {
  return useMayPlan() ? children : null;
}
