import {
  carryPlan,
  carryRoute,
  settingMinutes,
  settingWalk,
  type Layout,
  type PointM,
  type SettingSheet,
} from '@/core';

/** A layout to be set, and where its kit comes from. */
export type Settable = { layout: Layout; from: PointM };

export type Effort = { walkedM: number; measures: number; minutes: number };

/** What setting a layout by its sheet takes one person who carries the kit out first, and how long. */
export function effortOf({ layout, from }: Settable, sheet: SettingSheet): Effort {
  const { walkedM: measuringM, measures } = settingWalk(layout, sheet, from);
  const { loads } = carryPlan([], layout.items, from);
  const walkedM = measuringM + carryRoute(loads, from).walkedM;
  return { walkedM, measures, minutes: settingMinutes({ walkedM, measures, handled: loads.length }) };
}
