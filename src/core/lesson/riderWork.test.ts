import { warmUpStage } from './lesson';
import { keepRiderWork, riderWorkOf, withRiderWork, type RiderWork } from './riderWork';
import { offeredRiderWork } from './offeredRiderWork';

const SEAT: RiderWork = {
  ...{ name: 'Stirrups crossed', focus: 'Long leg, soft knee', seat: 'sitting', minutes: 5 },
  marks: ['gripped with the knee', 'leaned on the hands'],
};
const STAGE = { ...warmUpStage('one'), layoutId: 'layout', eachRein: 2 };

it('lays the rider’s work over a stage, which goes over the same as before, and reads it back', () => {
  const stage = withRiderWork(STAGE, SEAT);
  expect(stage).toEqual({
    ...STAGE,
    ...{ name: 'Stirrups crossed', focus: 'Long leg, soft knee', seat: 'sitting', minutes: 5, riderMarks: SEAT.marks },
    stop: { when: 'minutes', minutes: 5 },
  });
  expect(riderWorkOf(stage)).toEqual(SEAT);
  expect(withRiderWork(STAGE, { ...SEAT, seat: null }).seat).toBe(STAGE.seat);
});

it('is none where nothing of the rider is watched', () => {
  expect(riderWorkOf(STAGE)).toBeNull();
  expect(riderWorkOf({ ...STAGE, riderMarks: [] })).toBeNull();
});

it('is kept once under a name, in order', () => {
  const two = keepRiderWork([SEAT], { ...SEAT, name: 'Hands on a glass' });
  expect(two.map(({ name }) => name)).toEqual(['Hands on a glass', 'Stirrups crossed']);
  const again = keepRiderWork(two, { ...SEAT, name: 'stirrups crossed', minutes: 8 });
  expect(again.map(({ name, minutes }) => [name, minutes])).toEqual([
    ['Hands on a glass', 5],
    ['stirrups crossed', 8],
  ]);
});

it('offers all that the shelf has for the rider, each with minutes and four marks, under a name of the yard’s the yard’s own', () => {
  const work = offeredRiderWork([]);
  const own: RiderWork = { ...work[2]!, focus: 'as we ride it' };
  expect(offeredRiderWork([own])).toEqual([own, ...work.filter((_, index) => index !== 2)]);
  expect(work).toHaveLength(7);
  for (const { name, focus, minutes, marks } of work)
    expect([name.length > 0, focus.length > 0, minutes > 0, marks.length]).toEqual([true, true, true, 4]);
});
