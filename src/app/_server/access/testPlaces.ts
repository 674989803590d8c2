/**
 * Who may come where, written out by hand: every page, route and action. One that is not here fails a test, and so the
 * build: whoever adds one says for whom it is.
 */
export const INSTRUCT = [
  ...['plan/page', 'plan/[layoutId]/page', 'plan/[layoutId]/versions/page', 'plan/keys/page'],
  ...[
    'review/page',
    'review/group/page',
    'review/compare/page',
    'review/layouts/[layoutId]/page',
    'review/sand/[arenaId]/page',
  ],
  ...['review/[pairId]/films/page', 'review/films/[videoId]/page'],
  ...['ride/[versionId]/[pairId]/page', 'ride/lessons/new/page', 'ride/lessons/[lessonId]/end/page'],
  ...['ride/lessons/[lessonId]/recordings/page', 'set/sand/page'],
  ...['today/page', 'firstLayoutAction', 'ride/next/page', 'ride/next/how/page', 'GET api/next'],
  ...['takeSuggestionAction', 'refuseSuggestionAction', 'undoRefusalAction', 'saveGoalAction', 'changeGoalAction'],
  ...['ride/season/page', 'moveLessonAction', 'planGoalWeeksAction', 'bringGoalWeeksAction'],
  ...['yard/page', 'yard/access/page', 'yard/archive/page', 'yard/arenas/[arenaId]/page', 'yard/files/page'],
  ...['yard/horses/[horseId]/card/page', 'yard/horses/[horseId]/page', 'yard/horses/[horseId]/test/page'],
  ...['yard/people/[personId]/page', 'yard/rules/page', 'yard/stand-in/page'],
  ...['GET api/archive/backups/[name]', 'GET api/archive', 'POST api/archive'],
  ...['PUT api/horses/[horseId]/picture', 'DELETE api/horses/[horseId]/picture'],
  ...['GET api/layouts/[layoutId]/file', 'PUT api/layouts/[layoutId]', 'POST api/layouts'],
  ...['GET api/lessons/[lessonId]/stand-in', 'GET api/stand-in/footfalls.csv', 'GET api/stand-in'],
  ...['POST api/videos/[videoId]/stills', 'DELETE api/videos/[videoId]/stills/[stillId]', 'GET api/yard/[list]'],
  ...['_server/chooseUnit', '_server/trustClockAction'],
  ...['trySpacingAction', 'learnedStrideAction', 'addFilmMarkAction', 'undoFilmMarkAction', 'removeFilmAction'],
  ...['keepFilmLengthAction', 'answerFilmAction'],
  ...['countFromFilmAction', 'addLayoutAction', 'duplicateLayoutAction', 'tagLayoutAction', 'keepVersionAction'],
  ...['restoreVersionAction', 'importLayoutAction', 'keepOwnExerciseAction', 'removeOwnExerciseAction'],
  ...['teachNowAction', 'newPairAction', 'saveHorseAction', 'saveRulesAction', 'savePersonAction', 'addPairAction'],
  ...['saveArenaAction', 'saveKitAction', 'archiveAction', 'saveArenaMarksAction', 'POST api/stride-tests'],
  ...['withdrawTestAction', 'listAction', 'addWalkAction', 'undoWalkAction', 'letWalksCountAction'],
  ...['saveLessonAction', 'fittedStagesAction', 'moveLessonToNowAction', 'archiveLessonAction', 'changeStageAction'],
  ...[
    'copyLessonAction',
    'keepWordAction',
    'planNextAction',
    'keepRiderWorkAction',
    'standInRidesAction',
    'readRecordingAction',
  ],
  ...['repeatLessonAction', 'bringToSeriesAction', 'rideInGroupsAction', 'beginRideAction', 'sandLayoutAction'],
  ...[
    'setPassphraseAction',
    'beginAnotherYardAction',
    'renameYardAction',
    'beginSampleAction',
    'throwSampleAwayAction',
    'keepSampleAction',
    'tellOfficeAction',
    'deviceLinkAction',
    'endSessionAction',
    'shareAction',
    'revokeShareAction',
  ],
];
export const HELP = [
  ...['set/page', 'set/[layoutId]/page', 'set/[layoutId]/next/page'],
  ...['ride/page', 'ride/lessons/[lessonId]/page', 'ride/lessons/[lessonId]/run/page'],
  'ride/lessons/[lessonId]/record/page',
  ...['GET api/layouts/[layoutId]/drawing', 'GET api/layouts/[layoutId]/sheet'],
  ...['GET api/layouts/[layoutId]/ticks', 'POST api/layouts/[layoutId]/ticks'],
  ...['GET api/lessons/[lessonId]/calendar', 'GET api/lessons/[lessonId]/changes'],
  ...['GET api/lessons/[lessonId]/record', 'POST api/record', 'GET api/versions/[versionId]', 'GET api/work'],
  ...['roundStepsAction', 'keepStandingAction', 'putBackAction', 'adjustDistanceAction'],
];
/** The office reads sums, and nothing of a record. */
export const SUM = ['office/page'];
/** Whoever is signed in, the office too. */
export const CHOOSE = ['page', 'mine/page', 'yards/page', 'chooseYardAction'];
export const READ = [
  ...['waiting/page', 'mine/films/[videoId]/page', 'review/[pairId]/page', 'ride/lessons/[lessonId]/for/[pairId]/page'],
  ...[
    'GET api/keep',
    'GET api/line',
    'GET api/lessons/[lessonId]/sheet',
    'POST api/videos',
    'GET api/videos/[videoId]',
    'GET api/videos/[videoId]/stills/[stillId]',
    'GET api/horses/[horseId]/picture',
  ],
];
/** What nobody has to be signed in for: the door itself, and what looks at a link. */
export const OPEN = [
  ...[
    'sign-in/page',
    'join/[token]/page',
    's/[token]/page',
    'trust/page',
    'GET api/feed/[token]',
    'GET api/feed/[token]/films/[videoId]',
    'GET api/feed/[token]/films/[videoId]/stills/[stillId]',
    'GET api/root',
    'GET healthz',
  ],
  ...['signInAction', 'beginYardAction', 'joinAction', 'signOutAction'],
];
