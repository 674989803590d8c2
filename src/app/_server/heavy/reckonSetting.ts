import {
  layoutCautions,
  placingTolerance,
  reckonLayout,
  settingSheet,
  walkedOffM,
  type Caution,
  type CautionLimits,
  type Layout,
  type LengthUnit,
  type ReckonedTrack,
  type SettingSheet,
  type SettingWish,
  type Tolerance,
} from '@/core';
import { printedSheet, roundedLengths, type PrintedSheet } from '@/files/printedSheet';
import { effortOf, type Effort, type Settable } from './effortOf';

export type SettingToReckon = Settable & {
  measureBy: SettingWish['measureBy'];
  unit: LengthUnit;
  /** Whose steps the sheet speaks in; null for a tape only. */
  stepM: number | null;
  /** How far the true step may be from that, as a share. */
  stepShare: number;
  /** As drawn: its numbers are used at every stage. */
  whole: Layout;
  limits: CautionLimits;
};

/** All that the setting sheet of a layout shows. */
export type ReckonedSetting = {
  sheet: SettingSheet;
  tracks: ReckonedTrack[];
  printed: PrintedSheet;
  /** How far each piece may end off when it is walked out; null where nobody walks. */
  offM: Map<string, number> | null;
  effort: Effort;
  cautions: Caution[];
  tolerances: Tolerance[];
};

export function reckonSetting(wish: SettingToReckon): ReckonedSetting {
  const { layout, whole, from, measureBy, unit, stepM, stepShare, limits } = wish;
  const sheet = settingSheet(layout, { measureBy, from });
  const tracks = reckonLayout(layout);
  const reader = { unit, stepM };
  const rounded = roundedLengths(layout, sheet, reader);
  return {
    ...{ sheet, tracks, printed: printedSheet(layout, sheet, reader, rounded, whole) },
    offM: stepM === null ? null : walkedOffM(layout, sheet, stepM, stepShare),
    effort: effortOf({ layout, from }, sheet),
    ...{ cautions: layoutCautions(layout, tracks, limits), tolerances: placingTolerance(layout) },
  };
}
