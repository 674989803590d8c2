import { randomUUID } from 'node:crypto';
import {
  chanceOfCount,
  distanceCaseOf,
  layoutStride,
  profileStride,
  reckonLayout,
  resolvePlan,
  settingAt,
} from '@/core';
import { setArchived } from './archive';
import { listHorses } from './horses';
import { saveHorse } from './saveHorses';
import { findLayout } from './layouts';
import { planGround, planHorse } from './planGround';
import { addStrideTest, addTestedStride } from './strideTests';
import { testYard } from './testYard';

const NOW_MS = Date.parse('2026-06-01T12:00:00Z');

test('the spread that a stride test found reaches the readings of a layout', async () => {
  await testYard('Two fences', async ({ database: { db, write }, yardId, layoutId }) => {
    const layout = (await findLayout(db, yardId, layoutId))!;
    const [first] = layout.plan.groupIds;
    const chanceOf = async (strides: number) => {
      const horses = await listHorses(db, yardId);
      const made = resolvePlan(layout.plan, planGround(layout.name, layout.arena, horses, null)).layout;
      const [plan] = made.tracks;
      const [track] = reckonLayout(made);
      if (plan?.kind !== 'items' || track?.kind !== 'items') throw new Error('no line');
      const horse = made.horses.find(({ id }) => id === first)!;
      const stride = layoutStride(horse, plan.gait, settingAt(plan.gait, plan.legs[0]!))!;
      return chanceOfCount(track.legs[0]!.groundM, strides, distanceCaseOf(made, plan, 0), stride);
    };
    const before = await chanceOf(5);
    const horse = (await listHorses(db, yardId)).find(({ id }) => id === first)!;
    const known = profileStride(horse, 'course-canter')!;
    const test = {
      ...{ id: randomUUID(), horseId: horse.id, riderId: null, stepperId: null, entry: 'course-canter' as const },
      ...{
        lane: { kind: 'taped' as const, lengthM: 20 },
        passes: [{ pace: 'normal' as const, count: 8, behind: null, part: null, voided: false }],
        moment: 'before' as const,
        testedAtMs: NOW_MS,
      },
      ...{ rhythm: null, roundness: null, balance: null, note: '' },
    };
    await write(async tx => {
      await addStrideTest(tx, yardId, test as never);
      const { shortM, normalM, longM } = known;
      const stride = { shortM, normalM, longM, source: 'tested' as const, spread: 0.09 };
      await addTestedStride(tx, yardId, {
        ...{ horseId: horse.id, testId: test.id, entry: 'course-canter', stride, knownAtMs: NOW_MS },
      });
    });
    const tested = (await listHorses(db, yardId)).find(({ id }) => id === first)!;
    expect(planHorse(tested).strides['course-canter']).toMatchObject({ spread: 0.09 });
    // Five is what lies nearest: a horse that varies more rides it less surely.
    expect(before).toBeGreaterThan(0.8);
    expect(await chanceOf(5)).toBeLessThan(before - 0.1);
  });
});

test('two horses of one name, one of them put away, are told apart by their ids', async () => {
  await testYard('Two fences', async ({ database: { db, write }, yardId, layoutId }) => {
    const layout = (await findLayout(db, yardId, layoutId))!;
    const [first] = layout.plan.groupIds;
    const horse = (await listHorses(db, yardId)).find(({ id }) => id === first)!;
    const twin = { ...horse, id: undefined, heightM: 1.1, type: 'pony' as const, normalStridesM: {} };
    const twinId = await write(tx => saveHorse(tx, yardId, twin as never));
    await write(tx => setArchived(tx, yardId, 'horse', twinId, true));
    const horses = await listHorses(db, yardId);
    expect(horses.filter(({ name }) => name === horse.name)).toHaveLength(2);
    const plan = { ...layout.plan, groupIds: [horse.id, twinId] };
    const made = resolvePlan(plan, planGround(layout.name, layout.arena, horses, null)).layout;
    const [track] = reckonLayout(made);
    const readings = track?.kind === 'items' ? track.legs[0]!.readings : [];
    const of = (id: string) => readings.find(({ horseId }) => horseId === id)!;
    // Told apart for who reads it, too.
    expect(readings.map(({ horse: name }) => name)).toEqual([`${horse.name} (145 cm)`, `${horse.name} (110 cm)`]);
    // The pony takes more strides than the horse of its name, wherever it stands in the list.
    expect(of(twinId).evenCount).toBeGreaterThan(of(horse.id).evenCount + 1);
  });
});
