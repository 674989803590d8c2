import { ARCHIVE_TABLES, archiveColumns, tableName } from './archiveTables';

/** What each table is, for whoever opens an archive without Roan. */
const WHAT: Record<string, string> = {
  yards: 'the yard, with its time zone',
  arenas: 'arenas; `marks` is JSON: entrance, fall, way home, bad patches, place on the earth',
  people: 'instructors, riders and helpers; `step_length_m` where it was typed in',
  horses: 'horses',
  horse_pictures: 'pictures, as base64',
  kit: 'poles, stands, blocks and cones',
  step_walks: 'walks over a taped length: the own step',
  stride_tests: 'stride tests; a lane is taped or so many steps of somebody',
  stride_test_passes: 'the passes of the tests, with their counts',
  stride_ranges: 'strides of the profiles: typed in, tested, or learned from the record',
  pairs: 'a rider and a horse',
  layouts: 'layouts as they are planned; `document` is a plan document (JSON)',
  layout_versions: 'layouts as they were ridden or kept; `frozen` holds a layout file (JSON)',
  setting_ticks: 'which pieces were ticked off while setting',
  standings: 'what stood elsewhere than planned',
  own_exercises: "the yard's own arrangements on the shelf",
  lessons: 'lessons; `document` is the plan of the lesson (JSON)',
  lesson_joins: 'pairs that came into a lesson while it ran',
  record_changes:
    'what was said otherwise afterwards, taken back or brought back: of what (`subject`, `subject_id`, `what`), from what (`was`) to what (`becomes`, both JSON), by whom and when; the rows it is of hold what stands',
  former_states: 'what a horse, an arena or the rules were until they were changed (`was` is JSON)',
  goals: 'what pairs work towards; `document` is a goal (JSON)',
  refusals: 'suggestions that were not wanted; `pair_ids` is JSON',
  walk_breaks: 'walk breaks in lessons',
  questions: 'what was asked; `document` is a question (JSON)',
  rider_words: 'what the instructor said to a rider at the end of a lesson',
  lesson_asks: 'what was asked on the day: of a pair, or of all',
  passes: 'passes: who, what was asked, over which layout version, on which rein, when',
  marks: 'what was marked in passes; what a kind says beside its columns is JSON in `document`',
  videos:
    'films, of a pass, of a stride test, or of a pair and a day, with what was answered; the files lie under `films/`, named by `sha256`',
  video_notes:
    'what was seen in films, each with its time: a note, a stride, or a gait, a lead or the height of the head (`words` says which)',
  film_stills: 'pictures out of films, as base64',
  settings: "the yard's own rules and units",
};

/** The README of an archive. */
export function archiveReadme(yardName: string, madeAt: string): string {
  const tables = ARCHIVE_TABLES.map(table => {
    const name = tableName(table);
    const columns = archiveColumns(table).map(
      column => `\`${column.name}\` ${column.type}${column.nullable ? '?' : ''}`,
    );
    return `### ${name}\n\n${WHAT[name] ?? ''}. Columns: ${columns.join(', ')}.\n`;
  });
  return `# ${yardName}: an archive of Roan

Made ${madeAt}. Everything that this yard's Roan holds, in open forms:

- \`roan-archive.json\`: what this is, how many rows each table has, and the SHA-256 of each file;
- \`tables/NAME.json\`: the rows of a table as a list of objects, which is what an empty Roan is restored from;
- \`csv/NAME.csv\`: the same for a spreadsheet;
- \`films/SHA-256\`: films, as they were taken. A daily backup has them beside it, in a folder \`films\`.

Instants are milliseconds since 1970-01-01 UTC; lengths are metres; columns that end in \`_id\` name rows of other tables. A
question mark: the value may be missing. Rows are never deleted: \`archived_at\`, \`undone_at\`, \`withdrawn_at\` and
\`removed_at\` say since when one does not count.

## Tables

${tables.join('\n')}`;
}
