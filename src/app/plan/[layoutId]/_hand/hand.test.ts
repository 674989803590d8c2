import { dragFigure, EMPTY_PLAN, headingFromFacing, layOutPlaced, placeExercise, SHELF, typeDistance } from '@/core';
import { planShower } from '../_state/planShower';
import { ARENA, LINE, MAYFLY, shows } from '../_state/testShown';
import { madeByHand } from './hand';
import type { Hand } from './handState';

const itemAfter = (hand: Hand, id: string) =>
  madeByHand(hand, shows()(LINE), ARENA, null)?.plan.items.find(item => item.id === id);

const drag = { kind: 'things', item: 'elm', ids: ['elm'], free: false, reachM: 0.4, horse: MAYFLY.id } as const;

test('a hand that drags a fence is drawn to the whole count of the horse it names, if there is one', () => {
  // Common practice, no source: five strides of 3.6 m and half a stride at either end are 21.6 m.
  const by = { xM: 0, yM: 3.4 };
  expect(itemAfter({ ...drag, ids: ['elm'], by }, 'elm')?.at.yM).toBeCloseTo(23 + 21.6, 6);
  expect(itemAfter({ ...drag, ids: ['elm'], by, horse: 'nobody' }, 'elm')?.at.yM).toBeCloseTo(44.4, 6);
});

test('a hand on the knob turns towards where it is', () => {
  const towards = { xM: 15, yM: 5 };
  const turned = itemAfter({ kind: 'turn', ids: ['ash'], about: { xM: 10, yM: 5 }, towards, free: false }, 'ash');
  // To the right of C: 90 degrees as the instructor says it.
  expect(turned && 'headingRad' in turned ? turned.headingRad : NaN).toBeCloseTo(headingFromFacing(90), 9);
});

test('edits are made as they are asked', () => {
  const edits = [{ kind: 'move-item', item: 'birch', to: { xM: 9, yM: 24 } }] as const;
  expect(itemAfter({ kind: 'edits', edits: [...edits] }, 'birch')?.at).toEqual({ xM: 9, yM: 24 });
});

test('what is gone cannot be held', () => {
  const base = shows()(LINE);
  const gone = { ...drag, item: 'oak', ids: ['oak'], by: { xM: 1, yM: 1 } };
  expect(madeByHand(gone, base, ARENA, null)).toBeNull();
  const turn = { kind: 'turn', ids: ['oak'], about: { xM: 0, yM: 0 }, towards: { xM: 1, yM: 0 }, free: true } as const;
  expect(madeByHand({ ...turn, ids: ['oak'] }, base, ARENA, null)).toBeNull();
});

test('a distance of an exercise is dragged to where the hand is, no nearer than a hand’s breadth, and stays one of what it asks', () => {
  const ground = { ...{ name: '', arena: ARENA, fall: null, kit: null }, horses: [MAYFLY] };
  const recipe = SHELF.find(({ kind }) => kind === 'trot-poles')!;
  const wish = { id: 'row', recipe, rein: 'left' as const, horseIds: null, session: null };
  const { plan } = placeExercise(EMPTY_PLAN, ground, wish);
  const base = planShower(layOutPlaced)(plan, ground);
  const gap = (groundM: number): Hand => ({ kind: 'gap', track: 'row', leg: 1, groundM });
  const spacingM = (hand: Hand) =>
    madeByHand(hand, base, ARENA, { typeDistance, dragFigure })?.plan.exercises[0]!.params.spacingM;
  expect(spacingM(gap(1.35))).toBe(1.35);
  // Too near for a row: nothing is made of it, and without the shelf nothing is either.
  expect(spacingM(gap(0.1))).toBeUndefined();
  expect(madeByHand(gap(1.35), base, ARENA, null)).toBeNull();
});
