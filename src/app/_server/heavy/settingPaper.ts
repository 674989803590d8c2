import { placingTolerance, reckonLayout, settingSheet, type SettingWish } from '@/core';
import { distanceCardsPdf, numberCardsPdf } from '@/files/pdf/cardsPdf';
import { settingPdf, type SettingPdfInput } from '@/files/pdf/settingPdf';
import { printedSheet, roundedLengths } from '@/files/printedSheet';
import { settingCsv } from '@/files/settingCsv';
import { effortOf, type Settable } from './effortOf';

export const SETTING_PAPERS = ['pdf', 'csv', 'numbers', 'cards'] as const;

export type SettingPaperWish = Settable &
  Pick<
    SettingPdfInput,
    'whole' | 'arenaName' | 'marks' | 'stageName' | 'unit' | 'gaitWords' | 'walker' | 'paper' | 'parts'
  > & {
    as: (typeof SETTING_PAPERS)[number];
    measureBy: SettingWish['measureBy'];
  };

/** The setting sheet as a file; null where there is nothing to put on it: cards of a layout that no horse rides. */
export async function settingPaper(wish: SettingPaperWish): Promise<Uint8Array | string | null> {
  const { layout, whole, from, measureBy, unit, walker, paper } = wish;
  if (wish.as === 'numbers') return numberCardsPdf(whole, paper);
  if (wish.as === 'cards')
    return distanceCardsPdf({ layout, tracks: reckonLayout(layout), unit, gaitWords: wish.gaitWords }, paper);
  const sheet = settingSheet(layout, { measureBy, from });
  const reader = { unit, stepM: walker?.stepM ?? null };
  const printed = printedSheet(layout, sheet, reader, roundedLengths(layout, sheet, reader), whole);
  if (wish.as === 'csv') return settingCsv(sheet, printed);
  const tolerances = placingTolerance(layout);
  const { minutes } = effortOf({ layout, from }, sheet);
  return settingPdf({ ...wish, sheet, printed, tracks: reckonLayout(layout), tolerances, minutes });
}
