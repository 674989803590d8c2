/**
 * 50 devices in five yards tap on two Roans over one libSQL store for a minute: how long a tap takes, how that grows from 5 to
 * 50, and whether anything is lost. Needs a build; `npm run load`.
 */
import { randomUUID } from 'node:crypto';
import { mkdtempSync, rmSync } from 'node:fs';
import { cpus, tmpdir } from 'node:os';
import path from 'node:path';
import { eq, inArray } from 'drizzle-orm';
import { sealData } from 'iron-session';
import { RoanServer } from '../e2e/support/roanServer';
import { seedDemo } from '../src/data/demo/seedDemo';
import { openDatabase } from '../src/data/openDatabase';
import type { OpenDatabase } from '../src/data/database';
import { freezeLayout, listLayouts } from '../src/data/queries/layouts';
import { listPairs } from '../src/data/queries/pairs';
import { addYard } from '../src/data/queries/yards';
import { arenas, horses, layouts, pairs, passes, people, strideRanges } from '../src/data/schema';
import { startTestServer } from '../src/data/testServer';
import { beginSession, setPassphrase } from '../src/data/queries/access';
import { storeSecret } from '../src/data/queries/storeSecrets';
import { listPeople } from '../src/data/queries/people';
import { post } from './post';

const YARDS = 5;
const SECONDS = Number(process.env.LOAD_SECONDS ?? 60);
const STEPS = [5, 10, 20, 50];
/** A device taps so often: faster than anybody in a lesson. */
const EVERY_MS = 1000;

type Device = { url: string; cookie: string; pairId: string; versionId: string };

async function main(): Promise<void> {
  const store = await startTestServer();
  const database = await openDatabase(store.url);
  const yards = await fillYards(database);
  const folder = mkdtempSync(path.join(tmpdir(), 'roan-load-'));
  const roans = await Promise.all(
    [1, 2].map(() =>
      RoanServer.start('empty', folder, { told: { ROAN_DATABASE_URL: store.url, ROAN_DATA_FOLDER: folder } }),
    ),
  );
  const secret = await database.write(tx => storeSecret(tx, 'session', randomUUID() + randomUUID()));
  try {
    console.log(
      `${cpus().length} cores, two Roans, one store, ${YARDS} yards, a tap a second from each device, ${SECONDS} s a step`,
    );
    for (const many of STEPS) {
      const devices = await Promise.all(
        Array.from({ length: many }, async (_, at): Promise<Device> => {
          const yard = yards[at % YARDS]!;
          const sessionId = await database.write(tx =>
            beginSession(tx, yard.yardId, yard.personId, `device ${at}`, Date.now()),
          );
          const sealed = await sealData({ sessionId }, { password: secret, ttl: 24 * 3600 });
          const { pairId, versionId } = yard;
          return { url: roans[at % 2]!.url, cookie: `roan-session=${sealed}`, pairId, versionId };
        }),
      );
      const told = await tapped(devices);
      const there = await database.db
        .select({ id: passes.id })
        .from(passes)
        .where(inArray(passes.id, told.ids.slice(0, 5000)));
      const ms = told.ms.sort((a, b) => a - b);
      const at = (share: number) => ms[Math.min(ms.length - 1, Math.floor(ms.length * share))]!.toFixed(0);
      console.log(
        `${String(many).padStart(3)} devices: ${ms.length} taps, median ${at(0.5)} ms, p95 ${at(0.95)} ms, longest ${at(1)} ms; not answered ${told.failed}; acknowledged and not there ${told.ids.length - there.length}`,
      );
    }
  } finally {
    for (const roan of roans) await roan.kill();
    await database.close();
    await store.stop();
    rmSync(folder, { recursive: true, force: true });
  }
}

/** Five yards like the demo's: their own people, horses and layouts. */
async function fillYards(database: OpenDatabase) {
  await seedDemo(database, Date.now());
  const [first] = await database.db.select().from(layouts);
  const source = first!.yardId;
  const found = [];
  for (let at = 0; at < YARDS; at += 1) {
    const yardId = at === 0 ? source : await copyYard(database, source, `Yard ${at + 1}`);
    const [pair] = await listPairs(database.db, yardId);
    const [layout] = await listLayouts(database.db, yardId);
    const versionId = await database.write(tx => freezeLayout(tx, yardId, layout!.id));
    const [instructor] = (await listPeople(database.db, yardId)).filter(({ role }) => role === 'instructor');
    await database.write(tx => setPassphrase(tx, yardId, instructor!.id, 'a hash'));
    found.push({ yardId, personId: instructor!.id, pairId: pair!.id, versionId: String(versionId) });
  }
  return found;
}

async function copyYard(database: OpenDatabase, from: string, name: string): Promise<string> {
  return database.write(async tx => {
    const { id: yardId } = await addYard(tx, name, 'UTC');
    const named = new Map<string, string>();
    const anew = (id: string) => named.get(id) ?? named.set(id, randomUUID()).get(id)!;
    for (const table of [arenas, people, horses, strideRanges, pairs, layouts] as const)
      for (const row of await tx.select().from(table).where(eq(table.yardId, from))) {
        const own = Object.fromEntries(
          Object.entries(row).map(([key, value]) => [
            key,
            key === 'id' || (key.endsWith('Id') && typeof value === 'string' && key !== 'yardId')
              ? anew(value as string)
              : value,
          ]),
        );
        await tx.insert(table).values({ ...own, yardId, ...('testId' in row ? { testId: null } : {}) } as never);
      }
    return yardId;
  });
}

type Told = { ms: number[]; ids: string[]; failed: number };

/** Every device taps a pass each second, all of them spread over the second. */
async function tapped(devices: readonly Device[]): Promise<Told> {
  const told: Told = { ms: [], ids: [], failed: 0 };
  const untilMs = Date.now() + SECONDS * 1000;
  await Promise.all(
    devices.map(async (device, at) => {
      await new Promise(resolve => setTimeout(resolve, (at / devices.length) * EVERY_MS));
      for (let next = Date.now(); next < untilMs; next += EVERY_MS) {
        await new Promise(resolve => setTimeout(resolve, Math.max(0, next - Date.now())));
        await tap(device, told);
      }
    }),
  );
  return told;
}

async function tap({ url, cookie, pairId, versionId }: Device, told: Told): Promise<void> {
  const id = randomUUID();
  const pass = { id, pairId, layoutVersionId: versionId, lessonId: null, stageId: null, stage: 'Load' };
  const event = {
    type: 'pass',
    id: randomUUID(),
    by: null,
    pass: { ...pass, rein: null, direction: 'as-drawn', riddenAtMs: Date.now() },
  };
  const startedAt = performance.now();
  const answer = await post(
    `${url}/api/record`,
    { cookie, origin: url },
    { lessonId: null, events: [event], sentAtMs: Date.now() },
  );
  if (answer?.status !== 200) {
    told.failed += 1;
    if (told.failed === 1) console.log(`first refusal: ${answer?.status} ${answer?.body ?? ''}`);
    return;
  }
  told.ms.push(performance.now() - startedAt);
  told.ids.push(id);
}

void main();
