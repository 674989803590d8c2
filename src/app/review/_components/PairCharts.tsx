import { ChartCard } from '@/components/Chart/ChartCard';
import { offeredStride, profileStride, riddenWeeks, tempoReviewWords } from '@/core';
import { ENTRY_LABELS } from '../../yard/entryLabels';
import { LegCounts } from '../_charts/LegCounts';
import { QualityOverTime } from '../_charts/QualityOverTime';
import { ReinHalves } from '../_charts/ReinHalves';
import { StrideOverTime } from '../_charts/StrideOverTime';
import { TempoByLeg } from '../_charts/TempoByLeg';
import { WorkBars } from '../_charts/WorkBars';
import { SHOWN_LEGS, type PairReview } from '../pairReview';
import { chanceCell } from '../chanceCell';
import { mondayOf } from '../mondayOf';
import { LearnedOffer } from './LearnedOffer';
import classes from './PairCharts.module.css';

type PairChartsProps = { pairId: string; review: PairReview };

const metres = (lengthM: number) => Number(lengthM.toFixed(3));

/** The pictures of a pair, each with its numbers. */
export function PairCharts({ pairId, review }: PairChartsProps) {
  const { strides, horse, words, legs, tempos, reins, faults } = review;
  return (
    <div className={classes.charts}>
      {strides.map(one => {
        const { entry, learned, byMonth } = one;
        const profile = profileStride(horse, entry);
        return (
          <ChartCard
            key={entry}
            title={ENTRY_LABELS[entry]}
            sub={`From ${learned.legs} ${one.from === 'counts' ? 'legs where no count was asked' : 'passes noted gap by gap'}, on ${learned.days} days. Strokes: where the true stride lies, 95 times in 100.`}
            fileName={`${horse.name}-${entry}`}
            table={{
              columns: ['month', 'stride m', 'low m', 'high m', 'from'],
              rows: [
                ...byMonth.map(({ month, learned: l }) => [
                  month,
                  metres(l.strideM),
                  metres(l.lowM),
                  metres(l.highM),
                  l.legs,
                ]),
                ['all', metres(learned.strideM), metres(learned.lowM), metres(learned.highM), learned.legs],
                ...(['left', 'right'] as const).flatMap(rein => {
                  const l = one.byRein[rein];
                  return l ? [[`${rein} rein`, metres(l.strideM), metres(l.lowM), metres(l.highM), l.legs]] : [];
                }),
              ],
            }}
          >
            {byMonth.length > 1 && (
              <StrideOverTime
                review={one}
                thoughtM={profile?.normalM ?? null}
                format={words.format}
                monthName={words.monthName}
                label={`${ENTRY_LABELS[entry]} of ${horse.name}, month by month`}
              />
            )}
            <LearnedOffer
              pairId={pairId}
              entry={entry}
              learned={offeredStride(one)}
              isLatest={offeredStride(one) !== learned}
              profile={profile && { normalM: profile.normalM, source: profile.source }}
            />
          </ChartCard>
        );
      })}
      {reins.measures.length > 0 && (
        <ChartCard
          title="Left and right"
          sub="As far out as it goes well; a stroke is how sure each is."
          fileName={`${horse.name}-reins`}
          table={{
            columns: ['', 'left', 'of', 'right', 'of', 'p'],
            rows: reins.measures.map(({ measure, left, right, p }) => [
              ...[measure, left.hits, left.of, right.hits, right.of, chanceCell(p)],
            ]),
          }}
        >
          <ReinHalves measures={reins.measures} label={`Left and right rein of ${horse.name}`} />
        </ChartCard>
      )}
      {legs.length > 0 && (
        <ChartCard
          title="Ridden against reckoned"
          sub="Discs: how often each count was ridden. The point above: where the stride of the profile is even."
          fileName={`${horse.name}-legs`}
          table={{
            columns: ['layout', 'leg', 'ground m', 'asked', 'even count', 'ridden', 'times'],
            rows: legs.flatMap(({ layoutName, from, to, groundM, asked, predicted, counts }) =>
              counts.map(({ count, times }) => [
                ...[layoutName, `${from} to ${to}`, metres(groundM), asked],
                ...[predicted === null ? null : Number(predicted.toFixed(2)), count, times],
              ]),
            ),
          }}
        >
          <LegCounts legs={legs.slice(0, SHOWN_LEGS)} label={`Strides of ${horse.name}, leg by leg`} />
        </ChartCard>
      )}
      {tempos.length > 0 && (
        <ChartCard
          title="Tempo"
          sub="Strides a second as they were tapped, each with how far it may be off. A point above: it quickened; below: it slowed."
          fileName={`${horse.name}-tempo`}
          table={{
            columns: ['leg', 'day', 'strides', 'strides a second', 'off by', 'change', 'change %', 'change off by %'],
            rows: tempos.flatMap(({ name, seen }) =>
              seen.map(({ day, tempo }) => [
                ...[name, day, tempo.strides, Number(tempo.perSecond.toFixed(2)), Number(tempo.offBy.toFixed(2))],
                ...[tempo.change, Math.round(tempo.changeShare * 100), Math.round(tempo.changeOffBy * 100)],
              ]),
            ),
          }}
        >
          <TempoByLeg legs={tempos.slice(0, SHOWN_LEGS)} label={`Tempo of ${horse.name}, leg by leg`} />
          <ul className={classes.faults}>
            {tempos.slice(0, SHOWN_LEGS).map(leg => (
              <li key={`${leg.layoutVersionId} ${leg.name}`}>
                <strong>{leg.name}</strong> {tempoReviewWords(leg)}
              </li>
            ))}
          </ul>
        </ChartCard>
      )}
      <QualityCard review={review} />
      <WorkCards review={review} />
      {faults.length > 0 && (
        <ChartCard
          title="What went wrong"
          fileName={`${horse.name}-faults`}
          table={{
            columns: ['what', 'left', 'right', 'rein changes'],
            rows: faults.map(({ what, left, right, without }) => [what, left, right, without]),
          }}
        >
          <ul className={classes.faults}>
            {faults.slice(0, 8).map(({ what, left, right, without }) => (
              <li key={what}>
                <strong>{what}</strong> {left + right + without} times: {left} on the left rein, {right} on the right
                {without > 0 && `, ${without} where the rein changes`}
              </li>
            ))}
          </ul>
        </ChartCard>
      )}
    </div>
  );
}

function QualityCard({ review: { days, words, horse } }: { review: PairReview }) {
  const marked = days.flatMap(({ day, quality, clean, passes }) =>
    quality === null ? [] : [{ day, quality, clean, passes }],
  );
  if (marked.length < 2) return null;
  return (
    <ChartCard
      title="How good the passes were"
      sub="The mean mark of each day; a disc is as full as its passes were clean."
      fileName={`${horse.name}-quality`}
      table={{
        columns: ['day', 'mean mark', 'passes', 'clean'],
        rows: marked.map(({ day, quality, passes, clean }) => [day, Number(quality.toFixed(2)), passes, clean]),
      }}
    >
      <QualityOverTime days={marked} monthName={words.monthName} label={`Marks of ${horse.name}, day by day`} />
    </ChartCard>
  );
}

function WorkCards({ review: { days, words, horse, limitsOn } }: { review: PairReview }) {
  if (!days.some(({ lowEfforts, highEfforts }) => lowEfforts + highEfforts > 0)) return null;
  const short = (day: string) => words.dayName(day).replace(/^(\d+) (...).*/, '$1 $2');
  const weeks = riddenWeeks(days, mondayOf);
  const last = days[days.length - 1]!.day;
  return (
    <>
      <ChartCard
        title="Work, day by day"
        sub="Efforts over fences; the dark foot of a bar is what was 0.9 m and over."
        fileName={`${horse.name}-work-by-day`}
        table={{
          columns: [
            ...['day', 'efforts', 'at 0.9 m and over', 'raised passes', 'small circles left min', 'right min'],
            ...['efforts allowed that day', 'of them at 0.9 m and over'],
          ],
          rows: days.map(({ day, lowEfforts, highEfforts, raisedPasses, smallCircleMin: { left, right } }) => [
            ...[day, lowEfforts + highEfforts, highEfforts, raisedPasses],
            ...[Number(left.toFixed(1)), Number(right.toFixed(1))],
            ...[limitsOn(day).lowEfforts, limitsOn(day).highEfforts],
          ]),
        }}
      >
        <WorkBars
          bars={days.map(({ day, lowEfforts, highEfforts }) => ({
            ...{ key: day, label: short(day), low: lowEfforts, high: highEfforts },
          }))}
          limits={[
            { at: day => limitsOn(day).lowEfforts, words: `${limitsOn(last).lowEfforts} efforts` },
            { at: day => limitsOn(day).highEfforts, words: `${limitsOn(last).highEfforts} at 0.9 m and over` },
          ]}
          label={`Efforts of ${horse.name}, day by day`}
        />
      </ChartCard>
      <ChartCard
        title="Jumping days, week by week"
        fileName={`${horse.name}-work-by-week`}
        table={{
          columns: ['week from Monday', 'jumping days', 'efforts', 'at 0.9 m and over', 'passes'],
          rows: weeks.map(({ monday, jumpingDays, lowEfforts, highEfforts, passes }) => [
            ...[monday, jumpingDays, lowEfforts + highEfforts, highEfforts, passes],
          ]),
        }}
      >
        <WorkBars
          bars={weeks.map(({ monday, jumpingDays }) => ({
            key: monday,
            label: short(monday),
            low: jumpingDays,
            high: 0,
          }))}
          limits={[{ at: day => limitsOn(day).jumpingDays, words: `${limitsOn(last).jumpingDays} days` }]}
          label={`Jumping days of ${horse.name}, week by week`}
        />
      </ChartCard>
    </>
  );
}
