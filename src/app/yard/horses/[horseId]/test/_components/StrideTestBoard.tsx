'use client';

import { Card } from '@/components/Card/Card';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { nowMs } from '@/components/nowMs';
import type { Horse } from '@/data/queries/horses';
import { beforeAfterOf, meanQuality, readStrideTest } from '@/core';
import { testBox } from '@/components/sync/boxes';
import { deviceSync } from '@/components/sync/deviceSync';
import { keepAndSend } from '@/components/sync/keepAndSend';
import BeforeAfterPicture from '@/components/BeforeAfter/BeforeAfterPicture';
import { Alert, Button, Group } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { ENTRY_LABELS } from '../../../../entryLabels';
import { comparableTest, testSentences, type WordedTest } from '../../../../testWords';
import { columnOnPaper, columnsOf, type TestColumn } from '../_state/testDraft';
import { useTestDraft } from '../_state/useTestDraft';
import { ColumnChoice, momentDay } from './ColumnChoice';
import { CountPad } from './CountPad';
import { PassTable } from './PassTable';
import { ProfileChoices } from './ProfileChoices';
import { QualityNotes } from './QualityNotes';
import { StandInPanel } from './StandInPanel';
import { TestPad } from './TestPad';
import { TestSettings } from './TestSettings';
import classes from './StrideTestBoard.module.css';
import type { TestPerson } from './testPerson';

type StrideTestBoardProps = {
  horse: Horse;
  /** The other horses of the yard, one of which may be ridden in turn; each with its tests before. */
  others: { horse: Horse; earlier: WordedTest[] }[];
  people: TestPerson[];
  /** The tests before, earliest first. */
  earlier: WordedTest[];
  /** Who rode the last test, and down which lane: as a rule the next is ridden so too. */
  usual: Partial<TestColumn>;
};

/** A stride test from the first tap to what it would change in the profile. */
export function StrideTestBoard({ horse: own, others, people, earlier: ownEarlier, usual }: StrideTestBoardProps) {
  const router = useRouter();
  const { format, formatChange } = useLengths();
  const { draft, change, startOver } = useTestDraft(own.id, 'trot', usual);
  const [accepted, setAccepted] = useState<Record<string, boolean>>({});
  const [problem, setProblem] = useState<string | null>(null);
  const [onPad, setOnPad] = useState(false);
  const [sending, setSending] = useState(false);
  const [waits, setWaits] = useState(false);
  if (!draft) return null;
  const reading = readStrideTest(draft.lane, draft.passes);
  const { entry, lane, horseId } = draft;
  const { horse, earlier } = others.find(other => other.horse.id === horseId) ?? { horse: own, earlier: ownEarlier };
  const nameOf = (id: string | null) => others.find(other => other.horse.id === id)?.horse.name ?? null;
  const stepperId = lane.kind === 'steps' ? draft.stepperId : null;
  const columns = columnsOf(draft);
  // After schooling is held against before it, of the same sheet; else against the last day.
  const sameDay = columns
    .filter(column => column.id !== draft.id && column.passes.length > 0 && column.horseId === horseId)
    .map(column => ({
      ...{ entry: column.entry, lane: column.lane, reading: readStrideTest(column.lane, column.passes) },
      stepperId: column.lane.kind === 'steps' ? column.stepperId : null,
      ...{ quality: meanQuality(column.passes), day: momentDay(column.moment) },
    }));
  const before = comparableTest([...earlier, ...sameDay], { entry, lane, stepperId });
  const now = { entry, lane, stepperId, reading, quality: meanQuality(draft.passes), day: 'today' };
  const said = testSentences(now, before, horse, format, formatChange);
  const halves = beforeAfterOf(
    columns
      .filter(column => column.horseId === horseId && column.passes.length > 0)
      .sort((a, b) => Number(a.moment === 'after') - Number(b.moment === 'after'))
      .map(column => ({
        ...{ ...column, day: 'today', reading: readStrideTest(column.lane, column.passes) },
        quality: meanQuality(column.passes),
      })),
  );
  const horses = [own, ...others.map(other => other.horse)];
  const counted = columns.some(({ passes }) => passes.some(({ voided }) => !voided));

  const save = async (entries: string[]) => {
    setSending(true);
    setProblem(null);
    const atMs = nowMs();
    // Each column is a test; what the profile learns is of the one that is looked at, which is kept last.
    const tests = columns
      .filter(({ passes }) => passes.some(({ voided }) => !voided))
      .map((column, index) => ({
        test: columnOnPaper(column, own.id, atMs + index),
        accepted: column.id === draft.id ? entries : [],
      }));
    const kept = await keepAndSend(deviceSync(), testBox(own.id), tests, MOST_SEND_MS);
    setSending(false);
    if (kept.kind === 'refused') return setProblem(kept.problem);
    if (kept.kind === 'in-page')
      return setProblem(
        'The test is only in this page: this device’s storage does not take it, and the server did not answer. Leave the page open.',
      );
    startOver();
    if (kept.kind === 'sent') return router.push(`/yard/horses/${own.id}`);
    setWaits(true);
  };

  if (onPad)
    return (
      <TestPad
        horse={horse.name}
        turns={turnsOf(columns, own, nameOf)}
        {...{ draft, change }}
        onClose={() => setOnPad(false)}
        settings={<TestSettings {...{ draft, change, people, horses }} />}
      />
    );
  return (
    <div className={classes.board}>
      <div className={classes.column}>
        <Button size="lg" variant="default" onClick={() => setOnPad(true)}>
          Count on one screen
        </Button>
        <TestSettings {...{ draft, change, people, horses }} />
        {columns.length > 1 && <ColumnChoice {...{ columns, nameOf, change }} chosen={draft.id} />}
        <div className={classes.padFirst}>
          <CountPad draft={draft} change={change} />
        </div>
        <StandInPanel draft={draft} change={change} horseId={horse.id} />
      </div>
      <div className={classes.column}>
        <Card label="What it comes to" title="What it comes to">
          {said.length === 0 && <p className={classes.quiet}>Ride a normal pass, then a short and a long one.</p>}
          <ul className={classes.said}>
            {said.map(sentence => (
              <li key={sentence}>{sentence}</li>
            ))}
          </ul>
          {halves.map(({ before: half, after }) => (
            <BeforeAfterPicture key={after.id} title={ENTRY_LABELS[after.entry]} before={half} after={after} />
          ))}
          <PassTable draft={draft} reading={reading} change={change} />
        </Card>
        <QualityNotes draft={draft} change={change} />
        <ProfileChoices
          horse={horse}
          draft={draft}
          reading={reading}
          accepted={accepted}
          onAccept={(entry, on) => setAccepted(current => ({ ...current, [entry]: on }))}
        >
          {entries => (
            <Group mt="sm">
              <Button disabled={!counted} loading={sending} onClick={() => save(entries)}>
                {entries.length > 0 ? 'Keep the test and change the profile' : 'Keep the test'}
              </Button>
              <Button variant="default" disabled={!counted} onClick={() => change({ kind: 'drop' })}>
                Drop this sheet
              </Button>
              {draft.undo.length > 0 && (
                <Button variant="default" onClick={() => change({ kind: 'undo' })}>
                  Take back the last change
                </Button>
              )}
            </Group>
          )}
        </ProfileChoices>
        {waits && (
          <Alert color="slate" role="status">
            The test is kept on this device, and is sent as soon as Roan can be reached. The next one may be counted.
          </Alert>
        )}
        {problem && (
          <Alert color="chestnut" role="alert">
            {problem}
          </Alert>
        )}
      </div>
    </div>
  );
}

/** So long the server is waited for before the test is left to be sent later. */
const MOST_SEND_MS = 6000;

/** The horses of a sheet, the one whose it is first. */
function turnsOf(columns: readonly TestColumn[], own: Horse, nameOf: (id: string | null) => string | null) {
  const ids = [...new Set([null, ...columns.map(({ horseId }) => horseId)])];
  return ids.map(horseId => ({ horseId, name: nameOf(horseId) ?? own.name }));
}
