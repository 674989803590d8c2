'use client';

import { useLengths, useSay } from '@/components/Lengths/LengthsProvider';
import { defaultStride, type HorseProfile, type StrideEntryKey, type StrideTestReading } from '@/core';
import type { TestMoment } from '@/data/queries/strideTests';
import picture from '@/components/pictures/picture.module.css';
import { PictureCard } from '@/components/pictures/PictureCard';
import { metres } from '@/components/pictures/metres';
import { PICTURE_WIDTH } from '@/components/pictures/pictureWords';
import { TimeWords } from '@/components/pictures/TimeWords';
import { tickRoom, YTicks } from '@/components/pictures/YTicks';
import { extent } from 'd3-array';
import { scaleLinear, scaleUtc } from 'd3-scale';
import { line } from 'd3-shape';
import { ENTRY_LABELS, LANE_ENTRIES } from '../../../entryLabels';
import classes from '../page.module.css';

type DatedTest = {
  id: string;
  entry: StrideEntryKey;
  reading: StrideTestReading;
  testedAtMs: number;
  day: string;
  moment: TestMoment;
};

export type StrideHistoryProps = { tests: DatedTest[]; usual: HorseProfile };

/** How the tested stride of each gait has gone over time. */
export default function StrideHistoryPicture({ tests, usual }: StrideHistoryProps) {
  const say = useSay();
  const tested = LANE_ENTRIES.map(entry => ({
    entry,
    tests: tests.filter(test => test.entry === entry && test.reading.paces.normal?.stride),
  })).filter(gait => gait.tests.length > 0);
  return (
    <PictureCard
      title="Stride tests over time"
      sub={
        tested.length === 0
          ? 'No test in a taped lane yet: the first one begins the picture.'
          : 'A dot: the normal stride of a test, with how sure it is; behind it from short to long. Dotted: what practice expects.'
      }
      fileName="stride-tests"
      table={{
        columns: ['gait', 'day', 'moment', 'stride m', 'low m', 'high m', 'short m', 'long m'],
        rows: tested.flatMap(({ entry, tests: ofGait }) =>
          ofGait.map(({ day, moment, reading: { paces } }) => {
            const { strideM, lowM, highM } = paces.normal!.stride!;
            const other = (pace: 'short' | 'long') => {
              const own = paces[pace]?.stride?.strideM;
              return own === undefined ? null : metres(own);
            };
            return [
              ...[say(ENTRY_LABELS[entry]), day, moment, metres(strideM), metres(lowM), metres(highM)],
              ...[other('short'), other('long')],
            ];
          }),
        ),
      }}
    >
      {tested.length > 0 &&
        tested.map(({ entry, tests: ofGait }) => (
          <GaitHistory key={entry} entry={entry} tests={ofGait} usualM={usualOf(entry, usual)} />
        ))}
    </PictureCard>
  );
}

function usualOf(entry: StrideEntryKey, { heightM, type }: HorseProfile): number | null {
  return defaultStride(entry, heightM, type)?.normalM ?? null;
}

const SIZE = { height: 180, right: 8, top: 14, bottom: 26 };
const ASIDE_PX: Record<TestMoment, number> = { before: -7, after: 7, apart: 0 };
const DAY_MS = 24 * 3600 * 1000;

type GaitHistoryProps = { entry: StrideEntryKey; tests: DatedTest[]; usualM: number | null };

/** Normal strides with their intervals, and from short to long behind them; the dotted line is what practice expects. */
function GaitHistory({ entry, tests, usualM }: GaitHistoryProps) {
  const { format, say } = useLengths();
  const points = tests.map(({ id, testedAtMs, day, moment, reading: { paces } }) => ({
    ...{ id, testedAtMs, day, moment },
    ...paces.normal!.stride!,
    shortM: paces.short?.stride?.strideM ?? null,
    longM: paces.long?.stride?.strideM ?? null,
  }));
  const [first = 0, last = 0] = extent(points, ({ testedAtMs }) => testedAtMs);
  const lengths = points.flatMap(({ lowM, highM, shortM, longM }) => [lowM, highM, shortM ?? lowM, longM ?? highM]);
  const [least = 0, most = 1] = extent([...lengths, ...(usualM === null ? [] : [usualM])]);
  const y = scaleLinear([least, most], [SIZE.height - SIZE.bottom, SIZE.top]).nice(4);
  const [from, to] = [tickRoom(y.ticks(4), format), PICTURE_WIDTH - SIZE.right];
  const x = scaleUtc([first - 3 * DAY_MS, last + 3 * DAY_MS], [from, to]);
  // Before and after of one day lie side by side, not on each other.
  const at = ({ testedAtMs, moment }: Pick<DatedTest, 'testedAtMs' | 'moment'>) => x(testedAtMs) + ASIDE_PX[moment];
  const path = line<(typeof points)[number]>(
    point => at(point),
    point => y(point.strideM),
  )(points);
  const label = `${say(ENTRY_LABELS[entry])}: ${points.map(({ day, strideM }) => `${format(strideM)} on ${day}`).join(', ')}`;
  return (
    <figure style={{ margin: '0 0 0.75rem' }}>
      <figcaption className={classes.quiet}>{say(ENTRY_LABELS[entry])}</figcaption>
      <svg viewBox={`0 0 ${PICTURE_WIDTH} ${SIZE.height}`} className={picture.picture} role="img" aria-label={label}>
        <YTicks ticks={y.ticks(4)} y={y} from={from} to={to} words={format} />
        {usualM !== null && <line x1={from} x2={to} y1={y(usualM)} y2={y(usualM)} className={classes.usualLine} />}
        {points.map(({ id, testedAtMs, moment, lowM, highM, shortM, longM }) => (
          <g key={id} transform={`translate(${at({ testedAtMs, moment })} 0)`}>
            {shortM !== null && longM !== null && (
              <path
                d={`M-5 ${y(shortM)}h10M0 ${y(shortM)}V${y(longM)}M-5 ${y(longM)}h10`}
                className={classes.reach}
                fill="none"
              />
            )}
            <line y1={y(lowM)} y2={y(highM)} className={classes.interval} />
          </g>
        ))}
        {path && <path d={path} className={classes.thread} />}
        {points.map(({ id, testedAtMs, moment, strideM, day }) => (
          <g key={id} transform={`translate(${at({ testedAtMs, moment })} ${y(strideM)})`}>
            <circle r="5" className={classes.print} data-moment={moment} />
            <title>{`${day}${moment === 'apart' ? '' : `, ${moment} schooling`}: ${format(strideM)}`}</title>
          </g>
        ))}
        <TimeWords
          marks={points.map(({ id, testedAtMs, day }) => ({
            ...{ key: id, at: x(testedAtMs), words: day.replace(/ \d{4}$/, '') },
          }))}
          y={SIZE.height - 8}
        />
      </svg>
    </figure>
  );
}
