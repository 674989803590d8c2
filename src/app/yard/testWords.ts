import {
  defaultStride,
  type HorseProfile,
  type PaceReading,
  type StrideEntryKey,
  type StrideTestReading,
  type TestLane,
  type TestPace,
  type TestQuality,
} from '@/core';

type Format = (lengthM: number) => string;

/** A test as the sentences need it. */
export type WordedTest = {
  entry: StrideEntryKey;
  lane: TestLane;
  /** Whose steps an untaped lane was walked in. */
  stepperId: string | null;
  reading: StrideTestReading;
  /** How it went; null where nobody said. */
  quality?: TestQuality;
  day: string;
};

/**
 * The last test that another compares with: of the same gait, in a taped lane too, or in the same untaped lane of the
 * same person's steps.
 * @param earlier - the tests before it, earliest first
 */
export function comparableTest<Test extends Omit<WordedTest, 'reading' | 'day'>>(
  earlier: readonly Test[],
  test: Omit<WordedTest, 'reading' | 'day' | 'quality'>,
): Test | null {
  return earlier.filter(other => other.entry === test.entry && comparesWith(other, test)).at(-1) ?? null;
}

type Laned = Pick<WordedTest, 'lane' | 'stepperId'>;

function comparesWith(a: Laned, b: Laned): boolean {
  if (a.lane.kind === 'taped' || b.lane.kind === 'taped') return a.lane.kind === b.lane.kind;
  return a.lane.steps === b.lane.steps && a.stepperId === b.stepperId;
}

/** To the tenth, and whole where it is: 4, 4.3. */
const count = (value: number) => String(Math.round(value * 10) / 10);
const strideCount = (value: number) => `${count(value)} ${value === 1 ? 'stride' : 'strides'}`;

/**
 * What a test says, in sentences (`before` is one that compares with it, or none): the stride with its interval, how it compares with the test before and with practice,
 * and how far the stride can be changed.
 */
export function testSentences(
  test: WordedTest,
  before: WordedTest | null,
  horse: HorseProfile,
  format: Format,
  formatChange: Format,
): string[] {
  const { normal, short, long } = test.reading.paces;
  // Short and long alone are told as well: with a normal pace they are told by how far they lie apart.
  const alone = normal
    ? []
    : (
        [
          ['short', short],
          ['long', long],
        ] as const
      ).flatMap(([pace, reading]) => (reading ? [strideSentence(pace, reading, format)] : []));
  const told =
    normal && before?.reading.paces.normal
      ? comparison(normal, before.reading.paces.normal, before.day, formatChange)
      : null;
  const better = before ? qualityWords(test.quality, before.quality) : null;
  return [
    ...(normal ? [strideSentence('normal', normal, format)] : []),
    ...alone,
    ...(told
      ? [better ? `${told.slice(0, -1)}, ${better}.` : told]
      : better
        ? [`Against ${before!.day}: ${better}.`]
        : []),
    ...(normal?.stride ? usualSentence(test.entry, normal.stride.strideM, horse, format) : []),
    ...adjustabilitySentence(test, before),
  ];
}

/** The stride of a pace: "Normal: 2.61 m, between 2.50 and 2.72 m, from 3 passes." */
export function strideSentence(
  pace: TestPace,
  { passes, voided, strides, stride }: PaceReading,
  format: Format,
): string {
  const name = pace[0]!.toUpperCase() + pace.slice(1);
  const from = `from ${passes} ${passes === 1 ? 'pass' : 'passes'}${voided > 0 ? `, ${voided} void` : ''}`;
  if (!stride) return `${name}: ${count(strides.mean)} strides in the lane, ${from}.`;
  const { strideM, lowM, highM } = stride;
  return `${name}: ${format(strideM)}, between ${format(lowM)} and ${format(highM)}, ${from}.`;
}

const BETTER: Record<keyof TestQuality, [string, string]> = {
  roundness: ['rounder', 'less round'],
  rhythm: ['more even', 'less even'],
  balance: ['better balanced', 'less balanced'],
};

/** Counts and quality together: "rounder and more even than then"; null where nothing of it changed or was told. */
function qualityWords(now: TestQuality | undefined, then: TestQuality | undefined): string | null {
  if (!now || !then) return null;
  const words = (Object.keys(BETTER) as (keyof TestQuality)[]).flatMap(key => {
    const [a, b] = [now[key], then[key]];
    if (a === null || b === null || a === b) return [];
    return [BETTER[key][a > b ? 0 : 1]];
  });
  if (words.length === 0) return null;
  return `${words.length < 2 ? words.join('') : `${words.slice(0, -1).join(', ')} and ${words.at(-1)!}`} than then`;
}

/** "on 3 May"; what is no day is said as it is: "before schooling today". */
const onDay = (day: string) => (/^\d/.test(day) ? `on ${day}` : day);

/** A centimetre either way is the same stride. */
const SAME_M = 0.01;

/** Differences that the two intervals leave room for are not told as changes. */
function comparison(now: PaceReading, then: PaceReading, day: string, formatChange: Format): string {
  if (!now.stride || !then.stride) {
    const more = now.strides.mean - then.strides.mean;
    return more === 0
      ? `As many strides as ${onDay(day)}.`
      : `${strideCount(Math.abs(more))} ${more > 0 ? 'more' : 'fewer'} than ${onDay(day)}.`;
  }
  const changeM = now.stride.strideM - then.stride.strideM;
  if (Math.abs(changeM) < SAME_M) return `As long as ${onDay(day)}.`;
  const half = ({ lowM, highM }: { lowM: number; highM: number }) => (highM - lowM) / 2;
  const told = Math.abs(changeM) > Math.hypot(half(now.stride), half(then.stride));
  return told
    ? `That is ${formatChange(changeM)} against ${day}: more than the counts leave to chance.`
    : `Against ${day} it is ${formatChange(changeM)}, which the counts cannot tell from chance.`;
}

function usualSentence(entry: StrideEntryKey, strideM: number, horse: HorseProfile, format: Format): string[] {
  const usual = defaultStride(entry, horse.heightM, horse.type);
  if (!usual) return [];
  const percent = Math.round((strideM / usual.normalM - 1) * 100);
  const against = percent === 0 ? 'just that' : `${Math.abs(percent)} % ${percent > 0 ? 'longer' : 'shorter'}`;
  return [`Practice expects ${format(usual.normalM)} of its height and type: this is ${against}.`];
}

function adjustabilitySentence({ reading }: WordedTest, before: WordedTest | null): string[] {
  const { adjustability } = reading;
  if (!adjustability) return [];
  const was = before?.reading.adjustability ?? null;
  const change = was ? adjustability.strides - was.strides : 0;
  const compared =
    was && before
      ? change === 0
        ? `, as ${onDay(before.day)}`
        : `, ${count(Math.abs(change))} ${change > 0 ? 'more' : 'fewer'} than ${onDay(before.day)}`
      : '';
  return [
    `Adjustability: ${count(adjustability.strides)} strides between short and long${compared}; the long stride is ${adjustability.ratio.toFixed(2)} times the short one.`,
  ];
}
