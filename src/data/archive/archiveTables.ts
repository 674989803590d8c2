import { getTableColumns, getTableName } from 'drizzle-orm';
import * as schema from '../schema';

/** Every table of a yard, in an order in which none names a row that comes later. */
export const ARCHIVE_TABLES = [
  schema.yards,
  schema.arenas,
  schema.people,
  schema.horses,
  schema.horsePictures,
  schema.kit,
  schema.stepWalks,
  schema.strideTests,
  schema.strideTestPasses,
  schema.strideRanges,
  schema.pairs,
  schema.layouts,
  schema.layoutVersions,
  schema.settingTicks,
  schema.standings,
  schema.ownExercises,
  schema.formerStates,
  schema.goals,
  schema.refusals,
  schema.lessons,
  schema.riderWords,
  schema.lessonJoins,
  schema.recordChanges,
  schema.walkBreaks,
  schema.questions,
  schema.lessonAsks,
  schema.passes,
  schema.marks,
  schema.videos,
  schema.videoNotes,
  schema.filmStills,
  schema.settings,
] as const;

export type ArchiveTable = (typeof ARCHIVE_TABLES)[number];

/** `unsaid`: what a row of an older archive has where it says nothing of a column that came later. */
export type ArchiveColumn = {
  name: string;
  type: 'text' | 'number' | 'bytes';
  nullable: boolean;
  unsaid: number | null;
  /** The words that it may be; null where it may be any. */
  choices: readonly string[] | null;
  isInstant: boolean;
};

export const tableName = (table: ArchiveTable): string => getTableName(table);

/** The columns of a table as an archive writes them: bytes as base64, everything else as SQLite holds it. */
export function archiveColumns(table: ArchiveTable): ArchiveColumn[] {
  return Object.values(getTableColumns(table)).map(column => {
    const sqlType = column.getSQLType();
    const type = sqlType === 'blob' ? 'bytes' : sqlType === 'text' ? 'text' : 'number';
    const unsaid = typeof column.default === 'number' ? column.default : null;
    return {
      ...{ name: column.name, type, nullable: !column.notNull, unsaid },
      choices: column.enumValues?.length ? column.enumValues : null,
      isInstant: column.columnType === 'SQLiteTimestamp',
    };
  });
}
