/**
 * Changes of the code that nobody could notice, looked at by hand: by file and line, or by all that is told of them, and why. They stay in
 * what `npm run mutate` lists, and are told apart in docs/quality.md.
 */
export const EQUIVALENTS: Readonly<Record<string, string>> = {
  'src/core/exercises/recipes/parts.ts:25': 'raised by nothing is flat',
  'src/core/cautions/landingShort.ts:25 EqualityOperator → room.roomM > LEAST_BEHIND_M - ROUNDING':
    'a room of exactly the limit, less a rounding',
  'src/core/figures/figureParts.ts:23 ConditionalExpression → true': 'an eight has no yield, and none is as good as 0',
  'src/core/figures/figureParts.ts:25': 'an eight, and a serpentine without a yield, can always be ridden',
  'src/core/figures/figureParts.ts:27': 'an eight, and a serpentine without a yield, are of stretches only',
  'src/core/plan/resolvePlan.ts:83 ConditionalExpression → true': 'what is made anew of a group is what was remembered',
  'src/core/plan/planChanges.ts:51':
    'what stays the same item has a heading before and after, or never; a turn by exactly the limit',
  'src/core/record/tapHistory.ts:170 ConditionalExpression → true': 'only a pass has a pair that is changed',
  'src/core/record/tapHistory.ts:171 ConditionalExpression → true':
    'only a pass has a stage that is changed, and none is shown as no stage',
  "src/core/record/tapHistory.ts:171 LogicalOperator → change.on === 'pass' || change.what === 'stage'":
    'what has no stage adds none',
  'src/core/review/nextSetting.ts:50': 'a share that is exactly the limit does not come out of counting',
  'src/core/review/strideReview.ts:171': 'days are added up twice, and two minuses are a plus',
  'src/core/setting/gapWay.ts:100': 'a gap of exactly a millimetre',
  'src/core/setting/gapWay.ts:94': 'an angle of exactly 50 degrees to both walls',
  'src/core/setting/settingWords.ts:130': 'a tape is swung from the end of a piece only',
  'src/core/statistics/stratifiedExact.ts:19': 'a stratum that says nothing adds one table that is sure',
  'src/core/setting/settingSheet.ts:202': 'what is no peg has no peg to be found by',
  'src/core/suggest/catalogue.ts:64': 'what lies on the sand can be asked and ridden',
  'src/core/cautions/notStraight.ts:71': 'a radius of exactly the limit, within a micrometre',
  'src/core/stride/jumpAllowance.ts:13 EqualityOperator → heightM < 1': 'at one metre both rules say two metres',
  'src/data/archive/stagedStore.ts:41': 'where there is no file nothing is attached',
  'src/data/archive/stagedStore.ts:43': 'what rows name of others is looked at when all are written',
  'src/data/queries/access.ts:18': 'by this tool: it is reckoned before the change is made; the days are tested',
  'src/data/queries/yardLists.ts:60 MethodExpression → name': 'a cell of a list comes without spaces round it',
  'src/data/queries/yardLists.ts:60 MethodExpression → name.trim().toLocaleUpperCase()':
    'large letters are as alike as small ones',
  'src/files/gpx.ts:52': 'what is read of a track is no number: times, and what stands in attributes',
  'src/files/layoutPaper.ts:44': 'what is read is over pieces, or has a figure or figures',
  'src/files/stepPicture.ts:119 EqualityOperator → distanceM(start, to) <= textM': 'a tape of exactly a letter',
  'src/files/stepPicture.ts:121 ArithmeticOperator → wayRad + Math.PI - turn': 'a head is the same from left to right',
  'src/files/stepPicture.ts:121 ArithmeticOperator → wayRad - Math.PI':
    'half round to the left is half round to the right',
  'src/files/stepPicture.ts:128 ArithmeticOperator → lookRad - side * Math.PI / 2':
    'shoulders are the same from left to right',
  'src/files/stepPicture.ts:129 ArithmeticOperator → lookRad - turn': 'a nose is the same from left to right',
  'src/files/recordEvent.ts:248': 'a word that is no event is left out',
  'src/files/standing.ts:38': 'no piece has that name',
  'src/core/view/solidOf.ts:80': 'a fence is the same from its left and its right',
};
