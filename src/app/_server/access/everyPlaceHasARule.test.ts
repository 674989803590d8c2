import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

const APP = 'src/app';

/**
 * Who may come where, written out by hand: every page, route and action. One that is not here fails this test, and so the
 * build: whoever adds one says for whom it is.
 */
const INSTRUCT = [
  ...['plan/page', 'plan/[layoutId]/page', 'plan/[layoutId]/versions/page', 'plan/keys/page'],
  ...['review/page', 'review/group/page', 'review/layouts/[layoutId]/page', 'review/sand/[arenaId]/page'],
  ...['review/[pairId]/films/page', 'review/films/[videoId]/page'],
  ...['ride/[versionId]/[pairId]/page', 'ride/lessons/new/page', 'ride/lessons/[lessonId]/end/page'],
  ...['ride/lessons/[lessonId]/recordings/page', 'set/sand/page'],
  ...['yard/page', 'yard/access/page', 'yard/archive/page', 'yard/arenas/[arenaId]/page', 'yard/files/page'],
  ...['yard/horses/[horseId]/card/page', 'yard/horses/[horseId]/page', 'yard/horses/[horseId]/test/page'],
  ...['yard/people/[personId]/page', 'yard/rules/page', 'yard/stand-in/page'],
  ...['GET api/archive/backups/[name]', 'GET api/archive', 'POST api/archive'],
  ...['PUT api/horses/[horseId]/picture', 'DELETE api/horses/[horseId]/picture'],
  ...['GET api/layouts/[layoutId]/file', 'PUT api/layouts/[layoutId]', 'POST api/layouts'],
  ...['GET api/lessons/[lessonId]/stand-in', 'GET api/stand-in/footfalls.csv', 'GET api/stand-in'],
  ...['POST api/videos', 'GET api/yard/[list]'],
  ...['_server/chooseUnit', '_server/trustClockAction'],
  ...['trySpacingAction', 'learnedStrideAction', 'addFilmNoteAction', 'undoFilmNoteAction', 'removeFilmAction'],
  ...['countFromFilmAction', 'addLayoutAction', 'duplicateLayoutAction', 'tagLayoutAction', 'keepVersionAction'],
  ...['restoreVersionAction', 'importLayoutAction', 'keepOwnExerciseAction', 'removeOwnExerciseAction'],
  ...['teachNowAction', 'newPairAction', 'saveHorseAction', 'saveRulesAction', 'savePersonAction', 'addPairAction'],
  ...['saveArenaAction', 'saveKitAction', 'archiveAction', 'saveArenaMarksAction', 'saveStrideTestAction'],
  ...['withdrawTestAction', 'listAction', 'addWalkAction', 'undoWalkAction', 'letWalksCountAction'],
  ...['saveLessonAction', 'fittedStagesAction', 'moveLessonToNowAction', 'archiveLessonAction', 'changeStageAction'],
  ...['copyLessonAction', 'keepWordAction', 'planNextAction', 'standInRidesAction', 'readRecordingAction'],
  ...['repeatLessonAction', 'bringToSeriesAction', 'rideInGroupsAction', 'beginRideAction', 'sandLayoutAction'],
  ...['setPassphraseAction', 'deviceLinkAction', 'endSessionAction', 'shareAction', 'revokeShareAction'],
];
const HELP = [
  ...['set/page', 'set/[layoutId]/page', 'set/[layoutId]/next/page'],
  ...['ride/page', 'ride/lessons/[lessonId]/page', 'ride/lessons/[lessonId]/run/page'],
  'ride/lessons/[lessonId]/record/page',
  ...['GET api/layouts/[layoutId]/drawing', 'GET api/layouts/[layoutId]/sheet'],
  ...['GET api/layouts/[layoutId]/ticks', 'POST api/layouts/[layoutId]/ticks'],
  ...['GET api/lessons/[lessonId]/calendar', 'GET api/lessons/[lessonId]/changes'],
  ...['GET api/lessons/[lessonId]/record', 'POST api/record', 'GET api/versions/[versionId]', 'GET api/work'],
  ...['roundStepsAction', 'keepStandingAction', 'putBackAction', 'adjustDistanceAction'],
];
const READ = [
  ...['page', 'mine/page', 'waiting/page', 'review/[pairId]/page', 'ride/lessons/[lessonId]/for/[pairId]/page'],
  ...['GET api/lessons/[lessonId]/sheet', 'GET api/videos/[videoId]', 'GET api/horses/[horseId]/picture'],
];
/** What nobody has to be signed in for: the door itself, and what looks at a link. */
const OPEN = [
  ...['sign-in/page', 'join/[token]/page', 's/[token]/page', 'trust/page', 'GET api/feed/[token]', 'GET api/root'],
  ...['signInAction', 'beginYardAction', 'joinAction', 'signOutAction'],
];

/** A page, route or action of the source, with the rule that its own lines name; "none" where they name none. */
type Place = { name: string; rule: string };

function files(folder: string): string[] {
  return readdirSync(folder, { withFileTypes: true }).flatMap(entry => {
    const at = path.join(folder, entry.name);
    return entry.isDirectory() ? files(at) : [at];
  });
}

const ruleIn = (text: string) =>
  /may\.(instruct|help|read)\b|\b(byItsLink)\b/.exec(text)?.slice(1).find(Boolean) ?? 'none';

function placesOf(file: string): Place[] {
  const text = readFileSync(file, 'utf8');
  const name = path.relative(APP, file).replace(/\.tsx?$/, '');
  if (/(^|\/)page$/.test(name)) {
    // The call itself, where it is named in a call of the yard; what is only imported is no rule.
    const call = /(?:yardContext|entered)\((may\.\w+)\)/.exec(text.slice(text.indexOf('export default')));
    return [{ name, rule: call ? ruleIn(call[1]!) : 'none' }];
  }
  if (name.endsWith('/route'))
    return [...text.matchAll(/export const (\w+) = answering\(\s*([\w.]+)/g)].map(([, method, rule]) => ({
      ...{ name: `${method} ${path.dirname(name)}`, rule: ruleIn(rule!) },
    }));
  if (!text.startsWith("'use server'")) return [];
  const starts = [...text.matchAll(/export async function (\w+)/g)];
  return starts.map(({ 1: action, index }, at) => {
    const body = text.slice(index, starts[at + 1]?.index);
    const call = /(?:attempt(?:<[^(]*>)?|yardContext)\(\s*(may\.\w+)/.exec(body);
    return { name: name.startsWith('_server/') ? name : action!, rule: call ? ruleIn(call[1]!) : 'none' };
  });
}

const places = files(APP)
  .filter(file => /\.tsx?$/.test(file) && !file.includes('.test.'))
  .flatMap(placesOf);

test('every page, route and action is in the table, and names the rule that stands there', () => {
  const told = new Map<string, string>([
    ...INSTRUCT.map(name => [name, 'instruct'] as const),
    ...HELP.map(name => [name, 'help'] as const),
    ...READ.map(name => [name, 'read'] as const),
    ...OPEN.map(name => [name, 'open'] as const),
  ]);
  const found = places.map(
    ({ name, rule }) => [name, rule === 'none' || rule === 'byItsLink' ? 'open' : rule] as const,
  );
  expect(Object.fromEntries(found)).toEqual(Object.fromEntries(told));
  expect(found).toHaveLength(told.size);
});

test('every route answers through the one door', () => {
  const routes = files(APP).filter(file => file.endsWith('route.ts'));
  for (const file of routes) {
    const text = readFileSync(file, 'utf8');
    const methods = [
      ...text.matchAll(/export (?:const|async function|function) (GET|POST|PUT|PATCH|DELETE|HEAD|OPTIONS)\b/g),
    ];
    expect({ file, methods: methods.length }).toEqual({
      file,
      methods: [...text.matchAll(/export const \w+ = answering\(/g)].length,
    });
  }
});
