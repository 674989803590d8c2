import { USUAL_RULES } from '@/core';
import { findArena, listArenas, saveArena } from './arenas';
import { formerAt } from './formerStates';
import { horseOverTime, horsesAt, listHorses } from './horses';
import { saveHorse } from './saveHorses';
import { rulesSince, saveYardRules, yardRules, yardRulesAt } from './settings';
import { arenaTouches, horseTouches, layoutTouches } from './touches';
import { testYard } from './testYard';

const pause = () => new Promise(resolve => setTimeout(resolve, 5));

test('a day that has been keeps its horses, its rules and its arena, whatever is changed since', async () => {
  await testYard('Four on the bend', async ({ database: { db, write }, yardId }) => {
    const then = Date.now();
    await pause();
    const [horse] = await listHorses(db, yardId);
    const { strides: _, archived: __, ...details } = horse!;
    const taller = { ...details, heightM: horse!.heightM + 0.1, normalStridesM: { 'course-canter': 3.3 } };
    await write(tx => saveHorse(tx, yardId, taller));
    const own = { ...USUAL_RULES, limits: { ...USUAL_RULES.limits, lowEfforts: 12 } };
    await write(tx => saveYardRules(tx, yardId, own));
    const [arena] = await listArenas(db, yardId);
    await write(tx => saveArena(tx, yardId, { ...arena!, lengthM: 45, letters: 'none' }));

    const now = (await listHorses(db, yardId)).find(({ id }) => id === horse!.id)!;
    expect(now.heightM).toBeCloseTo(horse!.heightM + 0.1, 6);
    expect(now.strides['course-canter']!.normalM).toBe(3.3);
    const before = (await horsesAt(db, yardId, then)).find(({ id }) => id === horse!.id)!;
    expect(before).toEqual(horse);

    const { profileAt: over } = await horseOverTime(db, yardId, now);
    expect(over(then)).toEqual({ heightM: horse!.heightM, type: horse!.type, strides: horse!.strides });
    expect(over(Date.now() + 1)).toEqual({ heightM: now.heightM, type: now.type, strides: now.strides });
    // Before anything was known of it there is its height, and nothing else.
    expect(over(0)).toEqual({ heightM: horse!.heightM, type: horse!.type, strides: {} });

    expect((await yardRules(db, yardId)).limits.lowEfforts).toBe(12);
    expect((await yardRulesAt(db, yardId, then)).limits).toEqual(USUAL_RULES.limits);
    expect((await rulesSince(db, yardId)).map(({ rules }) => rules.limits.lowEfforts)).toEqual([
      USUAL_RULES.limits.lowEfforts,
      12,
    ]);
    const { widthM, lengthM, letters } = arena!;
    expect((await formerAt(db, yardId, 'arena', then)).get(arena!.id)).toEqual({ widthM, lengthM, letters });
    // From now on it is as it is.
    expect((await formerAt(db, yardId, 'arena', Date.now() + 1)).size).toBe(0);
    expect((await horsesAt(db, yardId, Date.now() + 1)).find(({ id }) => id === horse!.id)).toEqual(now);
  });
});

test('what a change touches is said before it is made', async () => {
  await testYard('Four on the bend', async ({ database: { db }, yardId, layoutId }) => {
    const nowMs = Date.parse('2026-06-01T12:00:00Z');
    const layout = await layoutTouches(db, yardId, layoutId, nowMs);
    expect(layout.coming).toEqual(['The bend, built up']);
    const arenas = await listArenas(db, yardId);
    const lower = (await findArena(db, yardId, arenas.find(({ name }) => name === 'Lower school')!.id))!;
    const size = ({ widthM, lengthM }: { widthM: number; lengthM: number }) => `${widthM} × ${lengthM}`;
    const small = { ...lower, widthM: 12, lengthM: 20, letters: 'none' as const };
    const touches = await arenaTouches(db, yardId, lower, small, size, nowMs);
    const text = touches.join(' ');
    expect(text).toContain('will lie on 12 × 20');
    expect(text).toContain('Outside of it then, in “Four on the bend');
    expect(text).toContain('Planned on it: “The bend, built up”');
    if (layout.ridden > 0) expect(text).toContain(`they keep ${lower.widthM} × ${lower.lengthM}`);
    // Nothing lies outside of a sand that was made larger.
    const large = await arenaTouches(db, yardId, lower, { ...lower, lengthM: 90, letters: 'none' }, size, nowMs);
    expect(large.join(' ')).not.toContain('Outside');
    const barley = (await listHorses(db, yardId)).find(({ name }) => name === 'Barley')!;
    expect((await horseTouches(db, yardId, barley, nowMs)).join(' ')).toContain('“The bend, built up”');
  });
});
