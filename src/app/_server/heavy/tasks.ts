import { backUpIfDue, type BackupFolders } from '@/data/archive/backups';
import { archiveTexts, type ArchiveTexts } from '@/data/archive/writeArchive';
import { stageArchive } from '@/data/archive/stageArchive';
import type { StagedStore } from '@/data/archive/stagedStore';
import { sampleStore } from '@/data/demo/sampleStore';
import { openReader } from '@/data/openReader';
import { lessonPdf, riderPdf, type LessonSheet, type SheetPair } from '@/files/pdf/lessonPdf';
import type { PaperSize } from '@/files/pdf/pdfPaper';
import {
  composeCourses,
  itemsAsSet,
  settingSheet,
  stepRounding,
  type ComposeWish,
  type GroundTruth,
  type SettingWish,
} from '@/core';
import type { Settable } from './effortOf';
import { readList, type ListRead, type ListToRead } from './readList';
import { reckonSetting, type SettingToReckon } from './reckonSetting';
import { settingPaper, type SettingPaperWish } from './settingPaper';

type Measured = Settable & Pick<SettingWish, 'measureBy'>;

/**
 * What takes long, by its name: it is run beside the thread that takes taps. Each is told all that it needs, and reads the store
 * by itself where it has to.
 */
export const TASKS = {
  setting: (input: SettingToReckon) => reckonSetting(input),
  roundSteps: ({ layout, from, measureBy, stepM }: Measured & { stepM: number }) =>
    stepRounding(layout, settingSheet(layout, { measureBy, from }), stepM),
  asSet: ({ layout, from, measureBy, truth }: Measured & { truth: GroundTruth }) =>
    itemsAsSet(layout, settingSheet(layout, { measureBy, from }), truth),
  compose: (wish: ComposeWish) => composeCourses(wish),
  settingPaper: (wish: SettingPaperWish) => settingPaper(wish),
  lessonPaper: ({ sheet, pair, paper }: { sheet: LessonSheet; pair: SheetPair | null; paper: PaperSize }) =>
    pair === null ? lessonPdf(sheet, paper) : riderPdf(sheet, pair, paper),
  archive: ({ yardId }: { yardId: string }): Promise<ArchiveTexts> =>
    openReader().then(reader => archiveTexts(reader.db, yardId).finally(() => reader.close())),
  stageArchive: ({ file, folder }: { file: string; folder: string }): Promise<StagedStore> =>
    stageArchive(file, folder),
  sample: (at: { nowMs: number; timeZone: string; folder: string }): Promise<StagedStore> => sampleStore(at),
  list: (input: ListToRead): Promise<ListRead> => readList(input),
  backup: ({ folders, nowMs }: { folders: BackupFolders; nowMs: number }): Promise<string | null> =>
    openReader().then(reader => backUpIfDue(reader, folders, nowMs).finally(() => reader.close())),
};

export type Task = keyof typeof TASKS;
export type TaskInput<Name extends Task> = Parameters<(typeof TASKS)[Name]>[0];
export type TaskResult<Name extends Task> = Awaited<ReturnType<(typeof TASKS)[Name]>>;
