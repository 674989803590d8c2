/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import type { RideWay } from '@/core';
import { Steering } from './Steering';

const way = (rein: RideWay['rein'], direction: RideWay['direction']): RideWay => ({ rein, direction });
const LINE = [way('left', 'as-drawn'), way('left', 'other-way'), way('right', 'as-drawn'), way('right', 'other-way')];
const CIRCLE = [way('left', 'as-drawn'), way('right', 'other-way')];

function steer(ways: readonly RideWay[], now: RideWay, homeRad: number | null = null) {
  const onSteer = jest.fn();
  renderInRoan(<Steering {...{ ways, way: now, homeRad, headingRad: 0, onSteer }} />);
  return onSteer;
}
const labels = () => screen.getAllByRole('button').map(one => one.textContent);
const press = (name: RegExp) => fireEvent.click(screen.getByRole('button', { name }));

test('on a straight line rein and direction are two things', () => {
  const onSteer = steer(LINE, way('left', 'as-drawn'));
  expect(labels()).toEqual(['↶ left rein', '↷ right rein', 'As drawn', 'Other way']);
  press(/right rein/);
  expect(onSteer).toHaveBeenLastCalledWith(way('right', 'as-drawn'));
  press(/Other way/);
  expect(onSteer).toHaveBeenLastCalledWith(way('left', 'other-way'));
});

test('on a track that turns the rein says the way', () => {
  const onSteer = steer(CIRCLE, way('left', 'as-drawn'));
  expect(screen.queryByRole('group', { name: 'Direction' })).toBeNull();
  press(/right rein/);
  expect(onSteer).toHaveBeenCalledWith(way('right', 'other-way'));
});

test('a track that changes the rein has a direction only', () => {
  steer([way(null, 'as-drawn'), way(null, 'other-way')], way(null, 'as-drawn'));
  expect(labels()).toEqual(['As drawn', 'Other way']);
});

test('where home lies the way that looks towards it is named', () => {
  steer(LINE, way('left', 'as-drawn'), 0.4);
  expect(labels().slice(2)).toEqual(['As drawn, towards home', 'Other way, from home']);
});
