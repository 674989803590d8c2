import { applyEdits, distanceM, editsToStand, settingSheet, itemsAsSet } from '@/core';
import { writeStanding, standingEdits } from '@/files/standing';
import { testYard, type TestYard } from './testYard';
import { findLayout, freezeLayout, saveLayout } from './layouts';
import { findVersion, madeLayout, standingLayout } from './layoutVersions';
import { addTicks, listTicks } from './settingTicks';
import { settingTicks } from '../schema';
import { findStanding, keepStanding, putBack } from './standings';

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');

const tick = (piece: string, ticked: boolean, tappedAtMs: number, place = '1 1') => ({
  piece,
  place,
  ticked,
  tappedAtMs,
});

/** The clock of the server a moment after they were tapped. */
const AT = { nowMs: 10_000 };

test('a tap from a clock that is far ahead is of now, and one that was kept so is taken back', async () => {
  await testYard('Four on the bend', async ({ database: { db, write }, yardId, layoutId }) => {
    const YEAR_MS = 365 * 24 * 3600 * 1000;
    await write(tx => addTicks(tx, yardId, layoutId, [tick('b1', true, NOW_MS + YEAR_MS)], { nowMs: NOW_MS }));
    expect((await listTicks(db, yardId, layoutId)).ticks[0]!.tappedAtMs).toBe(NOW_MS);
    // As a Roan before this one kept it.
    await write(tx =>
      tx.insert(settingTicks).values({
        ...{ yardId, layoutId, piece: 'b2', place: '1 1', ticked: true, tappedAt: new Date(NOW_MS + YEAR_MS) },
      }),
    );
    await write(tx => addTicks(tx, yardId, layoutId, [tick('b2', false, NOW_MS)], { nowMs: NOW_MS }));
    expect((await listTicks(db, yardId, layoutId)).ticks.find(({ piece }) => piece === 'b2')!.ticked).toBe(false);
  });
});

test('of two taps on a piece the later one counts, whichever comes in first, and twice is once', async () => {
  await testYard('Four on the bend', async ({ database: { db, write }, yardId, layoutId }) => {
    await write(tx => addTicks(tx, yardId, layoutId, [tick('b1', true, 2000), tick('b2', true, 1000)], AT));
    await write(tx => addTicks(tx, yardId, layoutId, [tick('b1', false, 1500), tick('b2', false, 3000)], AT));
    await write(tx => addTicks(tx, yardId, layoutId, [tick('b1', false, 1500)], AT));
    const { ticks } = await listTicks(db, yardId, layoutId);
    expect(Object.fromEntries(ticks.map(({ piece, ticked }) => [piece, ticked]))).toEqual({ b1: true, b2: false });
  });
});

test('after a number only what changed since comes, and all of it after a number that never was', async () => {
  await testYard('Four on the bend', async ({ database: { db, write }, yardId, layoutId }) => {
    const after = (number?: number) => listTicks(db, yardId, layoutId, number);
    const pieces = ({ ticks }: { ticks: { piece: string }[] }) => ticks.map(({ piece }) => piece).sort();
    await write(tx => addTicks(tx, yardId, layoutId, [tick('b1', true, 1000), tick('b2', true, 1000)], AT));
    const { number } = await after();
    await write(tx => addTicks(tx, yardId, layoutId, [tick('b2', false, 2000), tick('b1', false, 500)], AT));
    const since = await after(number);
    expect(since).toMatchObject({ afresh: false });
    expect(since.number).toBeGreaterThan(number);
    // A tap that was late changed nothing.
    expect(since.ticks).toEqual([tick('b2', false, 2000)]);
    expect((await after(since.number)).ticks).toEqual([]);
    const restored = await after(since.number + 5);
    expect(restored.afresh).toBe(true);
    expect(pieces(restored)).toEqual(['b1', 'b2']);
  });
});

/** The first fence of the layout, moved by one measure that came out 20 cm long. */
async function measured({ database: { db }, yardId, layoutId }: TestYard) {
  const layout = (await findLayout(db, yardId, layoutId))!;
  const made = await madeLayout(db, yardId, layout);
  const sheet = settingSheet(made, { measureBy: 'walls', from: { xM: 0, yM: 0 } });
  const wrong = sheet.measures.find(({ follows }) => !follows)!;
  const measures = new Map([[wrong.id, wrong.lengthM + 0.2]]);
  const asSet = itemsAsSet(made, sheet, { measures, legs: [] });
  if (!asSet.ok) throw new Error('it can stand like that');
  const edits = editsToStand(made, asSet.items);
  const typed = { measureBy: 'walls' as const, measures: Object.fromEntries(measures), legs: [] };
  return { layout, made, edits, standing: writeStanding(typed, edits, asSet.items) };
}

test('what stands on the sand is what is ridden; the plan stays, and it can be put back', async () => {
  await testYard('Course of eight', async yard => {
    const { database, yardId, layoutId } = yard;
    const { db, write } = database;
    const planned = (await write(tx => freezeLayout(tx, yardId, layoutId)))!;
    const { layout, made, edits, standing } = await measured(yard);
    expect(edits.length).toBeGreaterThan(0);
    await write(tx => keepStanding(tx, yardId, layout, standing, NOW_MS));

    const stands = await standingLayout(db, yardId, layout);
    const expected = applyEdits(made, edits);
    stands.items.forEach((item, i) => expect(distanceM(item.at, expected.items[i]!.at)).toBeLessThan(1e-9));
    expect((await madeLayout(db, yardId, layout)).items).toEqual(made.items);

    const ridden = (await write(tx => freezeLayout(tx, yardId, layoutId)))!;
    expect(ridden).not.toBe(planned);
    const version = (await findVersion(db, yardId, ridden))!;
    const moved = edits.flatMap(edit => (edit.kind === 'move-item' ? [edit] : []))[0]!;
    const frozen = version.layout.items.find(({ id }) => id === moved.item)!;
    expect(distanceM(frozen.at, moved.to)).toBeLessThan(1e-6);
    const kept = await write(tx => freezeLayout(tx, yardId, layoutId, 'kept'));
    expect(kept).toBe(planned);

    await write(tx => putBack(tx, yardId, layoutId, NOW_MS + 1));
    expect(await findStanding(db, yardId, layoutId, layout.revision)).toBeNull();
    expect(await write(tx => freezeLayout(tx, yardId, layoutId))).toBe(planned);
  });
});

test('what stood of an older revision says nothing of the plan as it is now', async () => {
  await testYard('Course of eight', async yard => {
    const { database, yardId, layoutId } = yard;
    const { db, write } = database;
    const { layout, standing } = await measured(yard);
    await write(tx => keepStanding(tx, yardId, layout, standing, NOW_MS));
    const change = { layoutId, baseRevision: layout.revision, name: layout.name, plan: layout.plan };
    await write(tx => saveLayout(tx, yardId, change, NOW_MS));
    expect(await findStanding(db, yardId, layoutId, layout.revision)).not.toBeNull();
    expect(await findStanding(db, yardId, layoutId, layout.revision + 1)).toBeNull();
  });
});

test('a standing comes back from paper as it was', async () => {
  await testYard('Course of eight', async yard => {
    const { edits, standing, made } = await measured(yard);
    const again = applyEdits(made, standingEdits(JSON.parse(JSON.stringify(standing))));
    const once = applyEdits(made, edits);
    again.items.forEach((item, i) => expect(distanceM(item.at, once.items[i]!.at)).toBeLessThan(1e-9));
  });
});

test('the demo yard begins with nothing ticked and everything as planned', async () => {
  await testYard('Five trot', async ({ database: { db }, yardId, layoutId }) => {
    expect(await listTicks(db, yardId, layoutId)).toEqual({ number: 0, afresh: true, ticks: [] });
    expect(await findStanding(db, yardId, layoutId, 1)).toBeNull();
  });
});
