/**
 * What a drag costs in the real page: 60 items and 12 horses, headless Chromium against the built application. The work of
 * a frame is what the page's own thread was busy from one move of the hand to the next, as Chromium counts it. The painter
 * beside the page has a thread of its own, and is counted by itself.
 */
import { randomUUID } from 'node:crypto';
import { chromium, type Browser, type CDPSession, type Page } from '@playwright/test';
import { DEFAULT_LEG, EMPTY_PLAN, newItem, type Item, type Plan } from '@/core';
import { openDatabase } from '@/data/openDatabase';
import { addLayout } from '@/data/queries/layouts';
import { currentYard } from '@/data/queries/yards';
import { arenas, horses } from '@/data/schema';
import { RoanServer } from '../e2e/support/roanServer';
import config from '../playwright.config';

const FENCES = 15;
const POLES = 45;
const HORSES = 12;
const FRAMES = 240;
const WARM_UP = 30;

/** A course that winds up and down an arena, and rows of poles beside it. */
function benchPlan(horseIds: string[]): Plan {
  const fences = Array.from({ length: FENCES }, (_, index): Item => {
    const up = Math.floor(index / 3) % 2 === 0;
    const row = index % 3;
    const at = { xM: 6 + Math.floor(index / 3) * 7, yM: 15 + (up ? row : 2 - row) * 19 };
    return newItem('vertical', `f${index}`, at, up ? Math.PI / 2 : -Math.PI / 2);
  });
  const poles = Array.from({ length: POLES }, (_, index) =>
    newItem('pole', `p${index}`, { xM: 3 + (index % 9) * 4, yM: 3 + Math.floor(index / 9) * 2 }, Math.PI / 2),
  );
  const through = fences.map(({ id }) => ({ item: id, reversed: false }));
  const track = {
    kind: 'items',
    id: 'course',
    name: null,
    gait: 'course-canter',
    course: null,
    passes: 1,
    through,
  } as const;
  const legs = through.slice(1).map(() => DEFAULT_LEG);
  return { ...EMPTY_PLAN, groupIds: horseIds, items: [...fences, ...poles], tracks: [{ ...track, through, legs }] };
}

/** A yard of a bench's own, with the layout in it. Returns where its plan is. */
async function benchYard(server: RoanServer): Promise<string> {
  await server.kill();
  const database = await openDatabase(server.env.ROAN_DATABASE_URL!);
  const yard = await currentYard(database);
  const arenaId = randomUUID();
  const rows = Array.from({ length: HORSES }, (_, index) => ({
    ...{ id: randomUUID(), yardId: yard.id, name: `Horse ${index + 1}` },
    ...{ heightM: 1.2 + index * 0.05, type: 'all-round' as const },
  }));
  const layoutId = await database.write(async tx => {
    await tx
      .insert(arenas)
      .values({ id: arenaId, yardId: yard.id, name: 'Bench', widthM: 40, lengthM: 70, letters: 'none' });
    await tx.insert(horses).values(rows);
    const plan = benchPlan(rows.map(({ id }) => id));
    return addLayout(tx, yard.id, { name: 'Bench', arenaId, plan });
  });
  await database.close();
  await server.start();
  return `${server.url}/plan/${layoutId}`;
}

type Frames = { workMs: number[]; intervalMs: number[] };

/** Drags a fence about, a little further each time, and counts how long the page's own thread is busy meanwhile. */
async function measuredDrag(page: Page, session: CDPSession): Promise<Frames> {
  const box = (await page.locator('[data-drawn="f7"]').boundingBox())!;
  const at = (step: number) => ({
    x: box.x + box.width / 2 + 30 * Math.sin(step / 9),
    y: box.y + box.height / 2 + 18 * Math.sin(step / 7),
  });
  const send = (type: 'mousePressed' | 'mouseMoved' | 'mouseReleased', step: number) =>
    session.send('Input.dispatchMouseEvent', { type, ...at(step), button: 'left', buttons: 1, clickCount: 1 });
  await session.send('Performance.enable');
  const busyMs = async () => {
    const { metrics } = await session.send('Performance.getMetrics');
    return metrics.find(({ name }) => name === 'TaskDuration')!.value * 1000;
  };
  await send('mousePressed', 0);
  for (let step = 1; step < WARM_UP; step += 1) await send('mouseMoved', step);
  await page.evaluate(WATCH_FRAMES);
  const workMs: number[] = [];
  let before = await busyMs();
  for (let step = WARM_UP; step < WARM_UP + FRAMES; step += 1) {
    // The answer to a move comes with the frame that it was shown in.
    await send('mouseMoved', step);
    const after = await busyMs();
    workMs.push(after - before);
    before = after;
  }
  const intervalMs = await page.evaluate<number[]>('window.frameIntervals');
  await send('mouseReleased', WARM_UP + FRAMES);
  return { workMs, intervalMs };
}

/** Run in the page: notes the time from each frame to the next. In text, so that no compiler's helper is missing there. */
const WATCH_FRAMES = `{
  window.frameIntervals = [];
  let last = null;
  const note = nowMs => {
    if (last !== null) window.frameIntervals.push(nowMs - last);
    last = nowMs;
    requestAnimationFrame(note);
  };
  requestAnimationFrame(note);
}`;

const percentile = (values: readonly number[], share: number) =>
  [...values].sort((a, b) => a - b)[Math.min(values.length - 1, Math.floor(values.length * share))] ?? NaN;

type Task = { name: string; ph: string; ts: number; dur?: number; pid: number; tid: number; args?: { name?: string } };

const FRAME_US = 1_000_000 / 60;

/** How long the painter beside the page is busy in every sixtieth of a second of a drag. */
async function painterMs(browser: Browser, dragging: () => Promise<unknown>): Promise<number[]> {
  const tracing = await browser.newBrowserCDPSession();
  const seen: Task[] = [];
  tracing.on('Tracing.dataCollected', ({ value }) => seen.push(...(value as unknown as Task[])));
  const complete = new Promise<unknown>(resolve => tracing.once('Tracing.tracingComplete', resolve));
  await tracing.send('Tracing.start', { traceConfig: { includedCategories: ['toplevel'] } });
  await dragging();
  await tracing.send('Tracing.end');
  await complete;
  const threads = seen.filter(({ name, args }) => name === 'thread_name' && args?.name?.startsWith('DedicatedWorker'));
  const tasks = seen.filter(
    ({ name, ph, pid, tid }) =>
      ph === 'X' &&
      name === 'ThreadControllerImpl::RunTask' &&
      threads.some(thread => thread.pid === pid && thread.tid === tid),
  );
  if (tasks.length === 0) throw new Error('No painter beside the page was seen at work.');
  const busyUs = new Map<number, number>();
  for (const { ts, dur = 0 } of tasks) {
    const frame = Math.floor(ts / FRAME_US);
    busyUs.set(frame, (busyUs.get(frame) ?? 0) + dur);
  }
  return [...busyUs.values()].map(us => us / 1000);
}

export type DragBench = {
  workMs: number;
  workMedianMs: number;
  intervalMs: number;
  painterMs: number;
  painterMedianMs: number;
  frames: number;
};

/** The drag at the 95th percentile of its frames. */
export async function benchDrag(): Promise<DragBench> {
  const server = await RoanServer.start('empty');
  const browser = await chromium.launch(config.use?.launchOptions ?? {});
  try {
    const url = await benchYard(server);
    const page = await browser.newPage({ viewport: { width: 1280, height: 800 } });
    await page.goto(url);
    await page.locator('[data-drawn="f7"]').waitFor();
    await page.locator('[data-painted-in="worker"]').first().waitFor({ state: 'attached' });
    await page.waitForTimeout(1500);
    const session = await page.context().newCDPSession(page);
    const { workMs, intervalMs } = await measuredDrag(page, session);
    await page.getByRole('button', { name: 'Undo' }).click();
    const paintedMs = await painterMs(browser, () => measuredDrag(page, session));
    return {
      workMs: percentile(workMs, 0.95),
      workMedianMs: percentile(workMs, 0.5),
      intervalMs: percentile(intervalMs, 0.95),
      painterMs: percentile(paintedMs, 0.95),
      painterMedianMs: percentile(paintedMs, 0.5),
      frames: workMs.length,
    };
  } finally {
    await browser.close();
    await server.stop();
  }
}
