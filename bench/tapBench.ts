/**
 * How long a tap takes on a built Roan over a file: with 20 phones on a lesson of ten, a hundred and a thousand marks, and while
 * the paper of a layout of 500 pieces is made.
 */
import { randomUUID } from 'node:crypto';
import { mkdtempSync } from 'node:fs';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { RoanServer } from '../e2e/support/roanServer';
import { seedDemo } from '../src/data/demo/seedDemo';
import { openDatabase } from '../src/data/openDatabase';
import { addLayout, listLayouts } from '../src/data/queries/layouts';
import { currentYard } from '../src/data/queries/yards';
import { manyPoles } from './manyPoles';
import { post } from './post';
import { cpuS } from './processOf';
import { riddenPairs, type Ridden } from './riddenPairs';

const PHONES = 20;
const SECONDS = 15;
const MARKS = [10, 100, 1000] as const;
const PIECES = 500;

type Yard = Ridden & { layoutId: string };
type Report = (what: string, measured: string, target: string, met: boolean) => void;

/** Reports each as it is measured. */
export async function benchTaps(report: Report): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'roan-taps-'));
  const yard = await filled(`file:${path.join(folder, 'roan.db')}`);
  // As it is a while after a start: the thread that makes pages is there, and what is run is compiled.
  const roan = await RoanServer.start('empty', folder, { told: { ROAN_PAGES_AFTER_MS: '0' } });
  try {
    await phones(roan, yard);
    let marked = 0;
    for (const many of MARKS) {
      for (; marked < many; marked += 50) await send(roan, yard, Math.min(50, many - marked), -1);
      const { p95, cores } = await phones(roan, yard);
      report(
        `20 phones, a tap a second each, on a lesson of ${many} marks: 95th percentile`,
        `${p95.toFixed(0)} ms (${cores.toFixed(2)} of a core)`,
        '50 ms, a quarter of a core',
        p95 <= 50 && cores <= 0.25,
      );
    }
    const paper = await whilePaper(roan, yard);
    report(
      `a tap while the paper of ${PIECES} pieces is made (${(paper.tookMs / 1000).toFixed(1)} s): 95th percentile`,
      `${paper.p95.toFixed(0)} ms (longest ${paper.longest.toFixed(0)} ms)`,
      '50 ms',
      paper.p95 <= 50,
    );
  } finally {
    await roan.stop();
  }
}

async function filled(url: string): Promise<Yard> {
  const database = await openDatabase(url);
  await seedDemo(database, Date.now(), true);
  const { id: yardId } = await currentYard(database);
  const [layout] = await listLayouts(database.db, yardId);
  const [ridden] = await riddenPairs(database);
  const many = {
    name: 'Many poles',
    arenaId: layout!.arena.id,
    plan: manyPoles(layout!.arena, PIECES),
  };
  const layoutId = await database.write(tx => addLayout(tx, yardId, many));
  await database.close();
  return { ...ridden!, layoutId };
}

/** Sends so many passes of the lesson at once; returns the number of the record then, and how long it took. */
async function send(
  roan: RoanServer,
  yard: Yard,
  many: number,
  after: number,
): Promise<{ number: number; ms: number }> {
  const { pairId, versionId: layoutVersionId, lessonId, question } = yard;
  const pass = () => ({
    ...{ id: randomUUID(), pairId, layoutVersionId, lessonId, stageId: null, stage: 'Bench', question, rein: null },
    ...{ direction: 'as-drawn', riddenAtMs: Date.now() },
  });
  const events = Array.from({ length: many }, () => ({ type: 'pass', id: randomUUID(), by: null, pass: pass() }));
  const beganMs = performance.now();
  const told = await post(
    `${roan.url}/api/record`,
    { origin: roan.url },
    { lessonId, ...(after >= 0 && { after }), events, sentAtMs: Date.now() },
  );
  const ms = performance.now() - beganMs;
  if (told?.status !== 200) throw new Error(`A tap was not taken: ${told?.status} ${told?.body}`);
  return { number: (JSON.parse(told.body) as { number: number }).number, ms };
}

const p95Of = (ms: number[]) => ms.sort((a, b) => a - b)[Math.floor(ms.length * 0.95)]!;
const wait = (ms: number) => new Promise(resolve => setTimeout(resolve, Math.max(0, ms)));

/** Each phone taps a second after it tapped before, and is told what changed since. */
async function phones(roan: RoanServer, yard: Yard): Promise<{ p95: number; cores: number }> {
  const { number } = await send(roan, yard, 1, -1);
  const ms: number[] = [];
  const busyBeforeS = cpuS(roan.pid);
  const untilMs = Date.now() + SECONDS * 1000;
  await Promise.all(
    Array.from({ length: PHONES }, async (_, phone) => {
      let known = number;
      await wait((phone / PHONES) * 1000);
      for (let next = Date.now(); next < untilMs; next += 1000) {
        await wait(next - Date.now());
        const told = await send(roan, yard, 1, known);
        known = told.number;
        ms.push(told.ms);
      }
    }),
  );
  return { p95: p95Of(ms), cores: (cpuS(roan.pid) - busyBeforeS) / SECONDS };
}

async function whilePaper(roan: RoanServer, yard: Yard): Promise<{ p95: number; longest: number; tookMs: number }> {
  let { number: known } = await send(roan, yard, 1, -1);
  const beganMs = performance.now();
  let isMade = false;
  const paper = fetch(`${roan.url}/api/layouts/${yard.layoutId}/sheet?as=pdf`).then(async answer => {
    if (!answer.ok) throw new Error(`No paper: ${answer.status} ${await answer.text()}`);
    await answer.arrayBuffer();
    isMade = true;
  });
  const ms: number[] = [];
  while (!isMade) {
    const told = await send(roan, yard, 1, known);
    known = told.number;
    ms.push(told.ms);
    await Promise.race([paper, wait(100)]);
  }
  await paper;
  return { p95: p95Of(ms), longest: Math.max(...ms), tookMs: performance.now() - beganMs };
}
