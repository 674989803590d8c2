import { spawn, type ChildProcess } from 'node:child_process';
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import 'fake-indexeddb/auto';
import { createSync, type Delivery, type Sync } from '@/components/sync/createSync';
import { openDeviceStore } from '@/components/sync/deviceStore';
import { seededRandom, USUAL_BREAK_MIN, type PassMark, type RecordEvent } from '@/core';
import { seedDemo } from '@/data/demo/seedDemo';
import { versionQuestion } from '@/data/upgrade/versionQuestion';
import { openDatabase } from '@/data/openDatabase';
import { freezeLayout, listLayouts } from '@/data/queries/layouts';
import { findVersion } from '@/data/queries/layoutVersions';
import { takenBack } from '@/data/testChanges';
import { findLesson, lessonRecord, saveLesson } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';
import { currentYard } from '@/data/queries/yards';
import { buildSync } from 'esbuild';
import { often } from '../../../../scripts/lib/often';

jest.setTimeout(240_000);

let folder: string;
beforeAll(() => {
  folder = mkdtempSync(path.join(tmpdir(), 'roan-faults-'));
  buildSync({
    entryPoints: ['scripts/lib/recordServer.ts'],
    tsconfig: 'tsconfig.json',
    outfile: path.join(process.cwd(), '.test-output/recordServer.cjs'),
    ...{ bundle: true, platform: 'node', format: 'cjs', target: 'node20', packages: 'external', logLevel: 'error' },
  });
});
let server: FragileServer | null = null;
afterAll(async () => {
  await server?.stop();
  rmSync(folder, { recursive: true, force: true });
});

/** A server in a process of its own that is killed and started again at will. */
class FragileServer {
  private child: ChildProcess | null = null;
  private answers: ((line: string | null) => void)[] = [];
  kills = 0;

  constructor(
    private readonly url: string,
    private readonly yardId: string,
  ) {}

  private async up(): Promise<ChildProcess> {
    if (this.child) return this.child;
    const child = spawn(process.execPath, ['.test-output/recordServer.cjs', this.url, this.yardId], {
      stdio: ['pipe', 'pipe', 'inherit'],
    });
    this.child = child;
    let heard = '';
    child.stdout!.on('data', chunk => {
      heard += String(chunk);
      for (let end = heard.indexOf('\n'); end >= 0; end = heard.indexOf('\n')) {
        const line = heard.slice(0, end);
        heard = heard.slice(end + 1);
        this.answers.shift()?.(line);
      }
    });
    child.stdin!.on('error', () => undefined);
    child.once('close', () => {
      if (this.child === child) this.child = null;
      for (const answer of this.answers.splice(0)) answer(null);
    });
    await this.answer();
    return child;
  }

  private answer(): Promise<string | null> {
    return new Promise(resolve => this.answers.push(resolve));
  }

  /** The answer to a batch; null where it never came. `killAfterMs`: the power goes so long after it was sent. */
  async send(batch: object, killAfterMs: number | null): Promise<string | null> {
    const child = await this.up();
    if (this.child !== child) return null;
    const answered = this.answer();
    child.stdin!.write(`${JSON.stringify(batch)}\n`);
    if (killAfterMs !== null)
      setTimeout(() => {
        this.kills += 1;
        child.kill('SIGKILL');
      }, killAfterMs);
    const answer = await answered;
    // A kill that comes after the answer is waited for, so that the next batch meets a new server.
    if (killAfterMs !== null && this.child === child) await new Promise(resolve => child.once('close', resolve));
    return answer;
  }

  async stop(): Promise<void> {
    const child = this.child;
    if (!child) return;
    const closed = new Promise(resolve => child.once('close', resolve));
    child.kill('SIGKILL');
    await closed;
  }
}

test('through cuts and kills every tapped mark is there exactly once, in order', async () => {
  const random = seededRandom(2026);
  const url = `file:${path.join(folder, 'faults.db')}`;
  const first = await openDatabase(url);
  await seedDemo(first, Date.now());
  const yard = await currentYard(first);
  const layout = (await listLayouts(first.db, yard.id)).find(({ name }) => name.startsWith('Course'))!;
  const pairIds = (await listPairs(first.db, yard.id)).slice(0, 3).map(({ id }) => id);
  const versionId = (await first.write(tx => freezeLayout(tx, yard.id, layout.id)))!;
  const version = (await findVersion(first.db, yard.id, versionId))!;
  const question = versionQuestion(version.layout, null, 'course')!;
  const lessonId = await first.write(tx =>
    saveLesson(tx, yard.id, {
      ...{ name: 'Faults', arenaId: layout.arena.id, startsAtMs: Date.now() },
      plan: { pairIds, stages: [], breakEveryMin: USUAL_BREAK_MIN },
    }),
  );
  await first.close();

  const fragile = new FragileServer(url, yard.id);
  server = fragile;
  let faults = 0;
  const deliver = async (events: readonly RecordEvent[]): Promise<Delivery> => {
    const lot = random();
    const batch = { lessonId, events };
    if (lot < 0.3) {
      faults += 1;
      return { kind: 'later', problem: 'cut before it was sent' };
    }
    if (lot < 0.55) {
      faults += 1;
      await fragile.send(batch, null);
      return { kind: 'later', problem: 'cut before the answer' };
    }
    const killAfterMs = lot < 0.7 ? Math.floor(random() * 12) : null;
    if (killAfterMs !== null) faults += 1;
    const answer = await fragile.send(batch, killAfterMs);
    return answer === 'taken' ? { kind: 'taken' } : { kind: 'later', problem: 'no answer' };
  };

  /** Two devices, each with a store that outlives its tab. */
  const devices = ['one', 'two'].map(name => ({ name, sync: null as Sync | null }));
  let busy: Promise<unknown> = Promise.resolve();
  const inTurn = (events: readonly RecordEvent[]) => {
    const next = busy.then(() => deliver(events));
    busy = next;
    return next;
  };
  const openTab = (device: (typeof devices)[number]) => {
    let closed = false;
    const sync = createSync({
      openStore: () => openDeviceStore(device.name),
      oneSender: work => work(),
      // A tab that is closed sends nothing any more, and hears nothing.
      deliver: (_, events) =>
        closed ? new Promise<Delivery>(() => undefined) : inTurn(events as readonly RecordEvent[]),
      tryAgainMs: 1,
    });
    device.sync = sync;
    return () => {
      closed = true;
      sync.close();
    };
  };
  const closers = devices.map(openTab);

  const tapped = new Map<string, PassMark[]>();
  const undone = new Set<string>();
  // A slow machine sends more at once, and so meets fewer faults in as many rounds.
  const [rounds, leastFaults, leastKills] = [often(50, 130), often(40, 110), often(5, 12)];
  for (
    let round = 0;
    round < rounds || ((faults < leastFaults || fragile.kills < leastKills) && round < 1200);
    round += 1
  ) {
    const which = round % 2;
    const device = devices[which]!;
    const passId = randomUUID();
    const pairId = pairIds[Math.floor(random() * pairIds.length)]!;
    const marks: PassMark[] = Array.from({ length: 1 + Math.floor(random() * 3) }, (_, i) => ({
      ...{ id: randomUUID(), kind: 'strides', place: i + 1, count: Math.floor(random() * 8) },
    }));
    const own = {
      ...{ layoutVersionId: versionId, lessonId, stageId: null, stage: 'course', question },
      ...({ rein: 'left', direction: 'as-drawn' } as const),
    };
    device.sync!.add('lesson', [
      { type: 'pass', id: randomUUID(), pass: { id: passId, pairId, ...own, riddenAtMs: Date.now() } },
    ]);
    for (const mark of marks)
      device.sync!.add('lesson', [{ type: 'mark', id: randomUUID(), passId, mark, atMs: Date.now() }]);
    tapped.set(passId, marks);
    if (random() < 0.15) {
      device.sync!.add('lesson', [takenBack(randomUUID(), 'pass', passId, Date.now())]);
      undone.add(passId);
    }
    if (random() < 0.1) {
      // The tab is closed in the middle and opened again: what it kept is all that is left of it.
      faults += 1;
      closers[which]!();
      closers[which] = openTab(device);
      device.sync!.flush();
    }
    // As a person taps: what was tapped before has mostly been sent by then.
    await waits(10);
    await Promise.race([busy, waits(250)]);
  }
  for (let wait = 0; wait < 4000 && devices.some(({ sync }) => waitingIn(sync) !== 0); wait += 1) {
    devices.forEach(({ sync }) => sync!.flush());
    await waits(20);
  }
  await busy;
  expect(devices.map(({ sync }) => waitingIn(sync))).toEqual([0, 0]);
  closers.forEach(close => close());
  await fragile.stop();
  expect(fragile.kills).toBeGreaterThanOrEqual(leastKills);
  expect(faults).toBeGreaterThanOrEqual(leastFaults);

  const last = await openDatabase(url);
  const lesson = (await findLesson(last.db, yard.id, lessonId))!;
  const { passes } = await lessonRecord(last.db, yard.id, lesson);
  const expected = [...tapped].filter(([id]) => !undone.has(id));
  expect(passes.map(({ id }) => id).sort()).toEqual(expected.map(([id]) => id).sort());
  for (const { id, marks } of passes) expect(marks).toEqual(tapped.get(id));
  await last.close();
});

const waits = (ms: number) => new Promise(resolve => setTimeout(resolve, ms));

/** How many events a tab knows of that are not sent; null until its store was read. */
const waitingIn = (sync: Sync | null) => sync!.state().rows?.length ?? null;
