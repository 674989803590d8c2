/** The tables of Roan, by what they are about. A change of one comes with a migration (`npx drizzle-kit generate`). */
export { yards, arenas, people, horses, horsePictures, kit, stepWalks, pairs } from './yard';
export { strideTests, strideTestPasses, strideRanges } from './strides';
export { layouts, layoutVersions, settingTicks, standings, ownExercises } from './layouts';
export { lessons, goals, refusals, riderWords, walkBreaks, lessonAsks, lessonJoins, questions } from './lessons';
export { passes, marks, recordChanges, formerStates } from './record';
export { videos, videoNotes, filmStills } from './films';
export { settings, saves, leases, storeWrites, storeSecrets } from './store';
export { passphrases, deviceLinks, sessions, shareLinks } from './access';
export { keptDays, changedDays, keptBy, keptSums, keptGrounds } from './kept';
