/** What the rest of Roan uses of this folder; src/core/index.ts hands it on. */
export type { FilmGait, FilmMark, TimedFilmMark } from './filmMark';
export { filmReading, hasSlipped, type FilmReading } from './filmReading';
export { filmMarkWords, filmSentences, filmTime } from './filmWords';
