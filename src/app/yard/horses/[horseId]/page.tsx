import { Card } from '@/components/Card/Card';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { formatLength, formatReading, STRIDE_ENTRY_KEYS, profileStride, strideCertainty } from '@/core';
import { findHorse, strideHistory, type Horse } from '@/data/queries/horses';
import { pictureTimes } from '@/data/queries/horsePictures';
import { riddenByHorse } from '@/data/queries/ridden';
import { listStrideTests } from '@/data/queries/strideTests';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { may } from '../../../_server/access/rules';
import { yardContext, yardSay } from '../../../_server/yardContext';
import { yardTime, yardYear } from '../../../_server/yardTime';
import { TYPE_LABELS } from '../../typeLabels';
import { ByTheRecord } from './_components/ByTheRecord';
import { HorsePicture } from './_components/HorsePicture';
import { ProfileStrides, type ProfileRow } from './_components/ProfileStrides';
import { RiddenList } from './_components/RiddenList';
import { StrideHistory } from './_components/StrideHistory';
import { DaysApart } from './_components/DaysApart';
import { TestList } from './_components/TestList';
import { riddenByRecord } from './riddenByRecord';
import classes from './page.module.css';

type HorsePageProps = { params: Promise<{ horseId: string }> };

export async function generateMetadata({ params }: HorsePageProps): Promise<Metadata> {
  const { db, yard } = await yardContext(may.instruct);
  const horse = await findHorse(db, yard.id, (await params).horseId);
  return { title: horse?.name ?? 'Horse' };
}

export default async function HorsePage({ params }: HorsePageProps) {
  const { horseId } = await params;
  const { db, yard, unit } = await yardContext(may.instruct);
  const horse = await findHorse(db, yard.id, horseId);
  if (!horse) notFound();
  const [tests, history, ridden, pictures] = await Promise.all([
    listStrideTests(db, yard.id, horseId),
    strideHistory(db, yard.id, horseId),
    riddenByHorse(db, yard.id, horseId),
    pictureTimes(db, yard.id),
  ]);
  const record = await riddenByRecord(db, yard, horseId);
  const day = (atMs: number) => yardTime(atMs, yard.timeZone, 'D MMM YYYY');
  return (
    <>
      <PageHead
        title={horse.name}
        sub={aboutHorse(horse, yardYear(yard.timeZone))}
        actions={
          <>
            <LinkButton href={`/yard/horses/${horse.id}/card`} variant="default">
              Distance card
            </LinkButton>
            <LinkButton href={`/yard/horses/${horse.id}/test`}>Test the stride</LinkButton>
          </>
        }
      />
      <div className={classes.columns}>
        <div className={classes.column}>
          <ProfileStrides rows={profileRows(horse, history, day)} />
          <ByTheRecord horse={horse} {...record} unit={unit} say={await yardSay(yard.id)} />
          <StrideHistory
            tests={tests.map(({ id, entry, reading, testedAtMs, moment }) => ({
              ...{ id, entry, reading, testedAtMs, moment },
              day: day(testedAtMs),
            }))}
            usual={horse}
          />
        </div>
        <div className={classes.column}>
          <HorsePicture horseId={horse.id} name={horse.name} pictureAtMs={pictures.get(horse.id) ?? null} />
          {horse.notes !== '' && (
            <Card label="Notes" title="Notes">
              <p className={classes.notes}>{horse.notes}</p>
            </Card>
          )}
          <DaysApart tests={tests.map(test => ({ ...test, day: day(test.testedAtMs) }))} />
          <TestList horse={horse} tests={tests.map(test => ({ ...test, day: day(test.testedAtMs) }))} />
          <RiddenList ridden={ridden.map(row => ({ ...row, day: day(row.lastMs) }))} />
        </div>
      </div>
    </>
  );
}

/** Height in hands, whatever the sand is read in. */
function aboutHorse(about: Horse, year: number): string {
  const age = about.bornYear === null ? null : `${Math.max(0, year - about.bornYear)} years old`;
  return [
    `${formatLength(about.heightM, 'hands')} (${formatReading(about.heightM, 'cm')})`,
    TYPE_LABELS[about.type],
    age,
    about.level,
    about.stiffSide && `stiff to the ${about.stiffSide}`,
    about.archived && 'archived',
  ]
    .filter(Boolean)
    .join(' · ');
}

function profileRows(
  about: Horse,
  known: Awaited<ReturnType<typeof strideHistory>>,
  dayOf: (atMs: number) => string,
): ProfileRow[] {
  return STRIDE_ENTRY_KEYS.flatMap(entry => {
    const stride = profileStride(about, entry);
    if (!stride) return [];
    const since = known.filter(range => range.entry === entry && range.source === stride.source).at(-1);
    const { shortM, normalM, longM, source } = stride;
    return [
      {
        ...{ entry, shortM, normalM, longM, source },
        ...strideCertainty(stride),
        since: since ? dayOf(since.sinceMs) : null,
      },
    ];
  });
}
