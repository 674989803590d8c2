/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export {
  overloads,
  seasonWeeks,
  withLessonMoved,
  type Overload,
  type SeasonDay,
  type SeasonEntry,
  type SeasonWeek,
} from './season';
export { seriesNow, seriesStages, type SeriesNow } from './goalSeries';
