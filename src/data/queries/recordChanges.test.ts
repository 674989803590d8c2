import { randomUUID } from 'node:crypto';
import {
  applyEvent,
  bare,
  changeOver,
  recordConflicts,
  reversal,
  sayMark,
  seededRandom,
  standingRecord,
  tapHistory,
  withNews,
  type ChangedValue,
  type Question,
  type RecordEvent,
  type RecordLog,
  type TappedMark,
} from '@/core';
import { packLog, unpackLog } from '@/files/packedRecord';
import { RecordBatch } from '@/files/recordEvent';
import { findLayout } from './layouts';
import { keepVersion } from './layoutVersions';
import { findLesson, lessonRecord, listLessons } from './lessons';
import { listPairs } from './pairs';
import { recordBatch } from './recordEvents';
import { lessonLog } from './recordLog';
import { RecordRefused } from './recording';
import { reviewPasses } from './reviewPasses';
import { testYard, type TestYard } from './testYard';

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');

type InLesson = TestYard & {
  lessonId: string;
  pairIds: string[];
  stageIds: string[];
  versionId: string;
  question: Question;
};

async function inLesson(test: (lesson: InLesson) => Promise<void>): Promise<void> {
  await testYard('Four on the bend', async yard => {
    const { db, write } = yard.database;
    const lesson = (await listLessons(db, yard.yardId)).find(({ name }) => name === 'The bend, built up')!;
    const layout = (await findLayout(db, yard.yardId, yard.layoutId))!;
    const versionId = await write(tx => keepVersion(tx, yard.yardId, layout, 'ridden'));
    const { pairIds, stages } = lesson.plan;
    const { question } = stages[3]!.questions[0]!;
    await test({ ...yard, lessonId: lesson.id, pairIds, stageIds: stages.map(({ id }) => id), versionId, question });
  });
}

/** A phone or a desk: what it has heard, with the number of the answer, and what it has not sent. */
type Device = { name: string; number: number; known: RecordLog; unsent: RecordEvent[]; skewMs: number };

/** A lesson in two hands, and the server between them. */
class TwoHands {
  private nowMs = NOW_MS;
  readonly devices: Device[] = [];

  constructor(
    readonly lesson: InLesson,
    readonly random: () => number,
  ) {}

  async open(name: string, skewMs: number): Promise<void> {
    const { database, yardId, lessonId } = this.lesson;
    const { number, log } = (await lessonLog(database.db, yardId, lessonId))!;
    this.devices.push({ name, number, known: log, unsent: [], skewMs });
  }

  private pick<One>(all: readonly One[]): One {
    return all[Math.floor(this.random() * all.length)]!;
  }

  logOf({ known, unsent }: Device): RecordLog {
    return unsent.reduce(applyEvent, known);
  }

  /** Something that a person does with what the device shows. */
  tap(device: Device): void {
    this.nowMs += 1 + Math.floor(this.random() * 3000);
    const { lessonId, pairIds, stageIds, versionId, question } = this.lesson;
    const log = this.logOf(device);
    const own = { newId: () => randomUUID() as string, atMs: this.nowMs + device.skewMs, by: device.name };
    const asEvent = (change: ReturnType<typeof changeOver>): RecordEvent => ({
      ...{ type: 'change', id: change.id, lessonId, change },
    });
    const change = (value: ChangedValue & { of: string }) => [asEvent(changeOver(log, value, null, own))];
    const [pass, shown] = [this.pick(log.passes), { pairId: this.pick(pairIds), stageId: this.pick(stageIds) }];
    const last = (way: 'undo' | 'redo') => {
      const taps = tapHistory(log, shown)[way];
      const tap = taps[taps.length - 1];
      return tap ? reversal(log, tap, own).map(asEvent) : [];
    };
    const said: TappedMark = { kind: 'strides', place: 1, count: 1 + Math.floor(this.random() * 5) };
    if (!pass || this.random() < 0.2) {
      const { pairId, stageId } = shown;
      const id = own.newId();
      const begun: RecordEvent = {
        ...{ type: 'pass', id: own.newId(), by: own.by },
        pass: {
          ...{ id, pairId, lessonId, layoutVersionId: versionId, stageId, stage: 'poles', question },
          ...{ rein: 'left', direction: 'as-drawn', riddenAtMs: own.atMs },
        },
      };
      return void device.unsent.push(begun, sayMark(applyEvent(log, begun), id, said, own));
    }
    const of = pass.pass.id;
    const mark = this.pick(pass.marks);
    const doings: (() => RecordEvent[])[] = [
      () => [sayMark(log, of, said, own)],
      () => [sayMark(log, of, { kind: 'hit', place: 1 }, own)],
      () => last('undo'),
      () => last('redo'),
      () => change({ on: 'pass', of, what: 'pair', was: pass.pass.pairId, to: shown.pairId }),
      () => change({ on: 'pass', of, what: 'counts', was: pass.counts, to: !pass.counts }),
      () => change({ on: 'pass', of, what: 'time', was: pass.pass.riddenAtMs, to: NOW_MS - 60_000 }),
      () =>
        change({
          ...{ on: 'pass', of, what: 'way', to: { rein: 'right', direction: 'other-way' } },
          was: { rein: pass.pass.rein, direction: pass.pass.direction },
        }),
      () =>
        change({
          ...{ on: 'pass', of, what: 'stage', to: { stageId: shown.stageId, stage: 'poles' } },
          was: { stageId: pass.pass.stageId, stage: pass.pass.stage },
        }),
      () => (mark ? change({ on: 'mark', of: mark.mark.id, what: 'counts', was: mark.counts, to: !mark.counts }) : []),
      () =>
        mark?.mark.kind === 'strides'
          ? change({ on: 'mark', of: mark.mark.id, what: 'said', was: bare(mark.mark), to: said })
          : [],
    ];
    device.unsent.push(...this.pick(doings)());
  }

  /** Some of what waits is sent; now and then the answer is lost, and it is sent again. */
  async send(device: Device): Promise<void> {
    const { database, yardId, lessonId } = this.lesson;
    const events = device.unsent.slice(0, 1 + Math.floor(this.random() * 4));
    if (events.length === 0) return;
    const batch = RecordBatch.parse(JSON.parse(JSON.stringify({ events, lessonId })));
    const deliver = () => database.write(tx => recordBatch(tx, yardId, batch, this.nowMs));
    await deliver();
    if (this.random() < 0.3) await deliver();
    device.unsent = device.unsent.slice(events.length);
    await this.look(device);
  }

  /** What changed since the last answer is heard. */
  async look(device: Device): Promise<void> {
    const { database, yardId, lessonId } = this.lesson;
    const answer = (await lessonLog(database.db, yardId, lessonId, device.number))!;
    device.known = withNews(device.known, unpackLog(packLog(answer.log)));
    device.number = answer.number;
  }
}

const sorted = <One extends { id: string }>(all: readonly One[]) => [...all].sort((a, b) => (a.id < b.id ? -1 : 1));
const told = (log: RecordLog) =>
  sorted(standingRecord(log).passes).map(({ marks, ...pass }) => ({ ...pass, marks: sorted(marks) }));

test.each([1, 2, 3])(
  'two devices and the database say the same of a lesson, whatever was tapped, undone, moved and sent twice (story %i)',
  async seed => {
    await inLesson(async lesson => {
      const random = seededRandom(seed);
      const hands = new TwoHands(lesson, random);
      await hands.open('phone', 0);
      await hands.open('desk', Math.floor((random() - 0.5) * 60_000));
      for (let step = 0; step < 120; step += 1) {
        const device = hands.devices[random() < 0.5 ? 0 : 1]!;
        if (random() < 0.6) hands.tap(device);
        else if (random() < 0.7) await hands.send(device);
        else await hands.look(device);
      }
      for (const device of hands.devices) while (device.unsent.length > 0) await hands.send(device);
      for (const device of hands.devices) await hands.look(device);
      const { database, yardId, lessonId } = lesson;
      const [phone, desk] = hands.devices.map(device => told(hands.logOf(device)));
      expect(phone!.length).toBeGreaterThan(3);
      expect(desk).toEqual(phone);
      // What the rest of Roan reads is the same record: the lesson's passes, and what the review looks at.
      const found = (await findLesson(database.db, yardId, lessonId))!;
      const { passes } = await lessonRecord(database.db, yardId, found);
      expect(sorted(passes).map(({ marks, ...pass }) => ({ ...pass, marks: sorted(marks) }))).toEqual(phone);
      const clock = { timeZone: 'UTC', dayOf: (atMs: number) => new Date(atMs).toISOString().slice(0, 10) };
      const reviewed = (await reviewPasses(database.db, yardId, 'all', clock)).filter(one => one.lessonId === lessonId);
      expect(sorted(reviewed).map(({ id, pairId }) => [id, pairId])).toEqual(
        phone!.map(({ id, pairId }) => [id, pairId]),
      );
      // Afresh it is what the devices put together piece by piece.
      const afresh = (await lessonLog(database.db, yardId, lessonId))!.log;
      expect(told(afresh)).toEqual(phone);
      expect(recordConflicts(afresh).length).toBe(recordConflicts(hands.logOf(hands.devices[0]!)).length);
    });
  },
  60_000,
);

test('a change of something that was never recorded, or that cannot be, is refused with a sentence', async () => {
  await inLesson(async lesson => {
    const { database, yardId, lessonId, versionId, pairIds, question, stageIds } = lesson;
    const send = (events: RecordEvent[]) => database.write(tx => recordBatch(tx, yardId, { events, lessonId }, NOW_MS));
    const passId = randomUUID();
    await send([
      {
        ...{ type: 'pass', id: randomUUID() },
        pass: {
          ...{ id: passId, pairId: pairIds[0]!, lessonId, layoutVersionId: versionId, stageId: stageIds[0]! },
          ...{ stage: 'poles', question, rein: 'left', direction: 'as-drawn', riddenAtMs: NOW_MS },
        },
      },
    ]);
    const change = (value: ChangedValue & { of: string }): RecordEvent => {
      const made = changeOver({ changes: [] }, value, null, { newId: randomUUID, atMs: NOW_MS, by: null });
      return { type: 'change', id: made.id, lessonId, change: made };
    };
    const counts = { what: 'counts', was: true, to: false } as const;
    await expect(send([change({ on: 'pass', of: 'nobody', ...counts })])).rejects.toThrow(RecordRefused);
    await expect(send([change({ on: 'mark', of: 'nothing', ...counts })])).rejects.toThrow('never recorded');
    const tomorrow = change({ on: 'pass', of: passId, what: 'time', was: NOW_MS, to: NOW_MS + 24 * 3600 * 1000 });
    await expect(send([tomorrow])).rejects.toThrow('has not come yet');
    const nobody = change({ on: 'pass', of: passId, what: 'pair', was: pairIds[0]!, to: 'nobody' });
    await expect(send([nobody])).rejects.toThrow('not in the yard');
    const elsewhere: Question = { ...question, what: { kind: 'track', trackId: 'another layout' } };
    const other = change({ on: 'pass', of: passId, what: 'question', was: question, to: elsewhere });
    await expect(send([other])).rejects.toThrow('this layout does not have');
    // Nothing of what was refused is there.
    const { log } = (await lessonLog(database.db, yardId, lessonId))!;
    expect(log.changes).toEqual([]);
    expect(log.passes[0]!.pass).toMatchObject({ pairId: pairIds[0]!, riddenAtMs: NOW_MS });
  });
});

test('a pair that joins is in the yard and in the lesson, once, and its passes are its own', async () => {
  await inLesson(async lesson => {
    const { database, yardId, lessonId, pairIds, versionId, question, stageIds } = lesson;
    const { db, write } = database;
    const [first, second] = pairIds as [string, string];
    const known = (await listPairs(db, yardId)).find(({ id }) => id === first)!;
    const [horseId, riderId, pairId] = [randomUUID(), randomUUID(), randomUUID()];
    const joined = (id: string, horse: string, rider: string, insteadOf: string | null): RecordEvent => ({
      ...{ type: 'join', id: randomUUID(), lessonId },
      join: {
        ...{ id: randomUUID(), pairId: id, insteadOf, atMs: NOW_MS, by: 'phone' },
        ...{ horse: { id: horse, name: 'Sorrel', heightM: 1.3 }, rider: { id: rider, name: 'Ada Wren' } },
      },
    });
    const join = joined(pairId, horseId, riderId, second);
    // The same horse and rider once more, by a phone that had not heard of it: it is the same pair.
    const twin = joined(randomUUID(), horseId, riderId, null);
    const twinId = (twin as RecordEvent & { type: 'join' }).join.pairId;
    const pass: RecordEvent = {
      ...{ type: 'pass', id: randomUUID() },
      pass: {
        ...{ id: randomUUID(), pairId: twinId, lessonId, layoutVersionId: versionId, stageId: stageIds[0]! },
        ...{ stage: 'poles', question, rein: 'left', direction: 'as-drawn', riddenAtMs: NOW_MS },
      },
    };
    // A pair that the yard has already, which the phone thought new.
    const again = joined(randomUUID(), known.horseId, known.riderId, null);
    for (const events of [[join], [join, twin, pass], [again]])
      await write(tx => recordBatch(tx, yardId, { events, lessonId }, NOW_MS));
    const found = (await findLesson(db, yardId, lessonId))!;
    expect(found.plan.pairIds).toContain(pairId);
    expect(found.plan.pairIds).not.toContain(second);
    expect(found.plan.pairIds.filter(id => id === first)).toHaveLength(1);
    const pairs = await listPairs(db, yardId);
    expect(pairs.filter(({ horseName }) => horseName === 'Sorrel')).toMatchObject([
      { riderName: 'Ada Wren', id: pairId },
    ]);
    const { log } = (await lessonLog(db, yardId, lessonId))!;
    expect(log.passes[0]!.pass.pairId).toBe(pairId);
    expect(log.rides).toMatchObject({ [pairId]: true, [second]: false });
  });
});

test('what a pass was asked is put right, and read so by the lesson and by the review', async () => {
  await inLesson(async ({ database: { db, write }, yardId, lessonId, pairIds, stageIds, versionId, question }) => {
    const passId = randomUUID();
    const pass: RecordEvent = {
      ...{ type: 'pass', id: randomUUID(), by: null },
      pass: {
        ...{
          id: passId,
          pairId: pairIds[0]!,
          layoutVersionId: versionId,
          lessonId,
          stageId: stageIds[3]!,
          stage: 'Built up',
        },
        ...{ question, rein: 'left', direction: 'as-drawn', riddenAtMs: NOW_MS - 60_000 },
      },
    };
    const send = (event: RecordEvent) =>
      write(tx => recordBatch(tx, yardId, { events: [event], lessonId: null }, NOW_MS));
    await send(pass);
    const asked: Question = { ...question, id: 'put right', asked: question.asked.map(() => 6) };
    const { log } = (await lessonLog(db, yardId, lessonId))!;
    const change = changeOver(log, { on: 'pass', of: passId, what: 'question', was: question, to: asked }, null, {
      ...{ newId: randomUUID, atMs: NOW_MS - 30_000, by: null },
    });
    await send({ type: 'change', id: change.id, lessonId, change });
    const lesson = (await findLesson(db, yardId, lessonId))!;
    expect((await lessonRecord(db, yardId, lesson)).passes.map(one => one.question)).toEqual([asked]);
    // A word that comes once more counts once.
    await send({ type: 'change', id: change.id, lessonId, change });
    expect((await lessonRecord(db, yardId, lesson)).passes).toHaveLength(1);
  });
});
