/**
 * 20 phones, two desks that draw, sheets, papers, lists and an archive on one built Roan for ten minutes: how long a tap
 * takes at the longest, whether the memory stays level, and whether anything is lost. `npm run soak`; SOAK_MINUTES for another time.
 */
import { randomUUID } from 'node:crypto';
import { mkdtempSync, readFileSync, rmSync } from 'node:fs';
import { availableParallelism, tmpdir } from 'node:os';
import path from 'node:path';
import { sql } from 'drizzle-orm';
import { writePlan } from '@/files/planPaper';
import { RoanServer } from '../e2e/support/roanServer';
import { seedDemo } from '../src/data/demo/seedDemo';
import { openDatabase } from '../src/data/openDatabase';
import { addLayout, listLayouts } from '../src/data/queries/layouts';
import { currentYard } from '../src/data/queries/yards';
import { manyPoles } from './manyPoles';
import { post } from './post';
import { residentMb } from './processOf';
import { riddenPairs } from './riddenPairs';
import { watchStolen } from './stolen';

const MINUTES = Number(process.env.SOAK_MINUTES ?? 10);
const PHONES = 20;
const LONGEST_MS = 150;
/** A machine that was not given so much of its processors cannot promise how long a tap takes. */
const STOLEN_SHARE = 0.05;
const TAPS_A_PASS = 6;
const SOAK = 'Soak';
const PIECES = 500;
/** So long before anything is measured. */
const FIRST_MS = 90_000;
/** A list of so many horses is looked at. */
const HORSES = 3000;

type Yard = Awaited<ReturnType<typeof filled>>;
type Told = {
  taps: { beganMs: number; tookMs: number }[];
  acknowledged: string[];
  refused: number;
  done: Map<string, number>;
  failed: string[];
  idleMs: number;
  stolen: ReturnType<typeof watchStolen>;
};
type Run = Omit<Told, 'idleMs' | 'stolen'> & { beganMs: number; untilMs: number };

async function main(): Promise<void> {
  const folder = mkdtempSync(path.join(tmpdir(), 'roan-soak-'));
  const url = `file:${path.join(folder, 'roan.db')}`;
  const yard = await filled(url);
  const roan = await RoanServer.start('empty', folder);
  const told: Told = {
    ...{ taps: [], acknowledged: [], refused: 0, done: new Map(), failed: [], idleMs: 0 },
    stolen: watchStolen(),
  };
  const memory: { atMs: number; mb: number }[] = [];
  try {
    // A server that has just started compiles what it runs, and after a minute it has a thread for pages.
    const beganMs = Date.now() + FIRST_MS;
    const watch = setInterval(() => {
      const atMs = Date.now() - beganMs;
      if (atMs >= 0) memory.push({ atMs, mb: residentMb(roan.pid) });
    }, 1000);
    const idle = idleGaps(beganMs);
    await during(roan, yard, { ...told, beganMs, untilMs: beganMs + MINUTES * 60_000 });
    clearInterval(watch);
    told.idleMs = idle.end();
    told.stolen.end();
  } finally {
    await roan.kill();
  }
  const lost = await notThere(url, told.acknowledged);
  rmSync(folder, { recursive: true, force: true });
  tell(told, memory, lost);
}

/** The longest time that this process, which hardly does anything, had to wait for the machine: what a tap waits for beside Roan. */
function idleGaps(fromMs: number) {
  let [lastMs, longestMs] = [performance.now(), 0];
  const watch = setInterval(() => {
    if (Date.now() >= fromMs) longestMs = Math.max(longestMs, performance.now() - lastMs - 5);
    lastMs = performance.now();
  }, 5);
  return { end: () => (clearInterval(watch), longestMs) };
}

/** Everything that goes on at once. */
async function during(roan: RoanServer, yard: Yard, told: Run): Promise<void> {
  const { untilMs } = told;
  const often = async (what: string, everyMs: number, act: (time: number) => Promise<Response | null>) => {
    for (let next = Date.now(), time = 0; next < untilMs; next += everyMs, time += 1) {
      await wait(next - Date.now());
      const answer = await act(time).catch(() => null);
      if (answer) await answer.arrayBuffer().catch(() => undefined);
      told.done.set(what, (told.done.get(what) ?? 0) + 1);
      if (!answer?.ok) told.failed.push(`${what}: ${answer?.status ?? 'no answer'}`);
    }
  };
  const page = (address: string) => () => fetch(`${roan.url}${address}`);
  await Promise.all([
    ...Array.from({ length: PHONES }, (_, phone) => taps(roan, yard, told, phone)),
    ...yard.desks.map((_, desk) => often('saves of a desk', 800, () => save(roan, yard, desk))),
    often('plans opened', 9000, page(`/plan/${yard.desks[0]!.layoutId}`)),
    often('sheets', 5000, page(`/set/${yard.desks[1]!.layoutId}`)),
    often('papers', 7000, page(`/api/layouts/${yard.desks[0]!.layoutId}/sheet?as=pdf`)),
    often(`papers of ${PIECES} pieces`, 30_000, page(`/api/layouts/${yard.manyId}/sheet?as=pdf`)),
    often('lists looked at', 6000, () => lookAtList(roan)),
    often('archives', 45_000, page('/api/archive')),
  ]);
}

/** Each phone has a pair of its own: a pass, then what is marked in it, tap by tap. */
async function taps(roan: RoanServer, yard: Yard, told: Run, phone: number): Promise<void> {
  const { beganMs: fromMs, untilMs } = told;
  const { pairId, versionId: layoutVersionId, lessonId, question } = yard.ridden[phone % yard.ridden.length]!;
  let known = -1;
  let passId = '';
  await wait((phone / PHONES) * 1000);
  for (let next = Date.now(), tap = 0; next < untilMs; next += 1000, tap += 1) {
    await wait(next - Date.now());
    const isPass = tap % TAPS_A_PASS === 0;
    if (isPass) passId = randomUUID();
    const mark = { id: randomUUID(), kind: 'quality', value: 1 + (tap % 5) };
    const pass = {
      ...{ id: passId, pairId, layoutVersionId, lessonId, stageId: null, stage: SOAK, question, rein: null },
      ...{ direction: 'as-drawn', riddenAtMs: Date.now() },
    };
    const event = isPass ? { type: 'pass', pass } : { type: 'mark', passId, mark, atMs: Date.now() };
    const events = [{ id: randomUUID(), by: null, ...event }];
    const sent = { lessonId, ...(known >= 0 && { after: known }), events, sentAtMs: Date.now() };
    const beganMs = performance.now();
    let answer = await post(`${roan.url}/api/record`, { origin: roan.url }, sent);
    // A line that was closed under it: a phone sends again what nobody answered, and it counts once.
    if (answer === null) answer = await post(`${roan.url}/api/record`, { origin: roan.url }, sent);
    // The first answer of a phone is the whole lesson, as when it opens it.
    if (known >= 0 && Date.now() >= fromMs) told.taps.push({ beganMs, tookMs: performance.now() - beganMs });
    if (answer?.status === 200) {
      told.acknowledged.push(isPass ? passId : mark.id);
      known = (JSON.parse(answer.body) as { number: number }).number;
    } else {
      told.refused += 1;
      told.failed.push(`tap: ${answer?.status} ${answer?.body.slice(0, 80)}`);
    }
  }
}

/** A desk saves what it drew: a fence is a little farther each time. */
async function save(roan: RoanServer, yard: Yard, at: number): Promise<Response> {
  const desk = yard.desks[at]!;
  const [first, ...others] = desk.plan.items;
  if (first)
    desk.plan = {
      ...desk.plan,
      items: [{ ...first, at: { ...first.at, xM: 4 + (desk.revision % 40) / 10 } }, ...others],
    };
  const answer = await fetch(`${roan.url}/api/layouts/${desk.layoutId}`, {
    method: 'PUT',
    headers: { 'content-type': 'application/json', origin: roan.url },
    body: JSON.stringify({
      baseRevision: desk.revision,
      name: desk.name,
      plan: writePlan(desk.plan),
      saveId: randomUUID(),
    }),
  });
  if (answer.ok) desk.revision = ((await answer.clone().json()) as { revision: number }).revision;
  return answer;
}

/** A long list of horses is sent to be looked at, as the page of lists does. */
async function lookAtList(roan: RoanServer): Promise<Response> {
  const rows = Array.from({ length: HORSES }, (_, at) => `Horse ${at},${140 + (at % 35)}`);
  const sent = { list: 'horses', text: `name,height\n${rows.join('\n')}\n`, keep: false };
  return fetch(`${roan.url}/yard/files`, {
    method: 'POST',
    headers: {
      'next-action': listActionId(),
      origin: roan.url,
      accept: 'text/x-component',
      'content-type': 'text/plain;charset=UTF-8',
    },
    body: JSON.stringify([sent]),
  });
}

let actionId: string | null = null;
/** What the page of lists calls its action, as it was built. */
function listActionId(): string {
  if (actionId !== null) return actionId;
  const manifest = JSON.parse(readFileSync('.next/server/server-reference-manifest.json', 'utf8')) as {
    node: Record<string, { exportedName?: string; filename?: string }>;
  };
  const found = Object.entries(manifest.node).find(([, { exportedName }]) => exportedName === 'listAction');
  if (!found) throw new Error('The build has no listAction.');
  return (actionId = found[0]);
}

async function filled(url: string) {
  const database = await openDatabase(url);
  await seedDemo(database, Date.now(), true);
  const { id: yardId } = await currentYard(database);
  const [layout] = await listLayouts(database.db, yardId);
  const ridden = await riddenPairs(database);
  const { arena } = layout!;
  const add = (name: string, pieces: number) =>
    database.write(tx => addLayout(tx, yardId, { name, arenaId: arena.id, plan: manyPoles(arena, pieces) }));
  const manyId = await add('Many poles', PIECES);
  const ids = [await add('Drawn at one desk', 30), await add('Drawn at another', 60)];
  const drawn = (await listLayouts(database.db, yardId)).filter(({ id }) => ids.includes(id));
  const desks = drawn.map(({ id: layoutId, name, plan, revision }) => ({ layoutId, name, plan, revision }));
  await database.close();
  return { ridden, manyId, desks };
}

async function notThere(url: string, ids: readonly string[]): Promise<number> {
  const database = await openDatabase(url);
  const there = new Set(
    (await database.db.all<{ id: string }>(sql`select id from passes union all select id from marks`)).map(
      row => row.id,
    ),
  );
  await database.close();
  return ids.filter(id => !there.has(id)).length;
}

const wait = (ms: number) => new Promise(resolve => setTimeout(resolve, Math.max(0, ms)));

function tell(told: Told, memory: readonly { atMs: number; mb: number }[], lost: number): void {
  const ms = told.taps.map(({ tookMs }) => tookMs).sort((a, b) => a - b);
  const long = told.taps.filter(({ tookMs }) => tookMs > LONGEST_MS);
  const own = long.filter(({ beganMs, tookMs }) => told.stolen.share(beganMs, beganMs + tookMs) < STOLEN_SHARE);
  const at = (share: number) => ms[Math.min(ms.length - 1, Math.floor(ms.length * share))]?.toFixed(0);
  const middle = (from: number, to: number) => {
    const some = memory
      .filter(({ atMs }) => atMs >= from && atMs < to)
      .map(({ mb }) => mb)
      .sort((a, b) => a - b);
    return some[Math.floor(some.length / 2)]?.toFixed(0) ?? '?';
  };
  const endMs = MINUTES * 60_000;
  const minutes = Array.from({ length: Math.ceil(MINUTES) }, (_, minute) =>
    middle(minute * 60_000, (minute + 1) * 60_000),
  );
  console.log(`${availableParallelism()} cores, ${MINUTES} minutes, ${PHONES} phones`);
  console.log(
    `${ms.length} taps: median ${at(0.5)} ms, p95 ${at(0.95)} ms, p99 ${at(0.99)} ms, longest ${at(1)} ms; over ${LONGEST_MS} ms ${long.length}, of them ${own.length} while the machine had its processors (${own.map(({ tookMs }) => tookMs.toFixed(0)).join(', ')}; whoever taps had to wait ${told.idleMs.toFixed(0)} ms for the machine at the longest); not taken ${told.refused}; acknowledged and not there ${lost}`,
  );
  console.log(
    `memory, MB, minute by minute: ${minutes.join(' ')}; the last half minute ${middle(endMs - 30_000, endMs)}`,
  );
  console.log([...told.done].map(([what, times]) => `${what} ${times}`).join('; '));
  if (told.failed.length > 0) console.log(`not done ${told.failed.length}: ${[...new Set(told.failed)].join('; ')}`);
}

void main();
