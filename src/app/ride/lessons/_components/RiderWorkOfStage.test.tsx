/** @jest-environment jsdom */
import { fireEvent, screen, within } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import type { LessonStage, RiderWork } from '@/core';
import { RiderWorkOfStage } from './RiderWorkOfStage';

const keep = jest.fn();
jest.mock('../actions', () => ({ keepRiderWorkAction: (work: unknown) => keep(work) }));

const work = (name: string): RiderWork => ({ name, focus: `${name}!`, seat: null, minutes: 5, marks: ['eyes late'] });
const STAGE = {
  ...{ id: 'one', name: 'Eyes and breath', layoutId: null, focus: 'look on', seat: 'rising', minutes: 5, eachRein: 0 },
  ...{ questions: [], policy: 'same question again', stop: { when: 'repetitions' }, riderMarks: ['eyes late'] },
} as LessonStage;

const panel = (riderWork: readonly RiderWork[]) => (
  <RiderWorkOfStage stage={STAGE} riderWork={riderWork} onChange={() => undefined} />
);
async function offered() {
  const box = screen.getByRole('combobox', { name: 'Work for the rider' });
  fireEvent.click(box);
  const list = document.getElementById(box.getAttribute('aria-controls')!)!;
  return (await within(list).findAllByRole('option', { hidden: true })).map(one => one.textContent);
}

test('what the yard has by now is offered, also where the page is told of it later', async () => {
  const { rerender } = renderInRoan(panel([work('Two-point')]));
  expect(await offered()).toEqual(['Two-point']);
  rerender(panel([work('Two-point'), work('Kept elsewhere')]));
  expect(await offered()).toEqual(['Two-point', 'Kept elsewhere']);
});

test('what is kept here is offered at once, before the page is told of it', async () => {
  keep.mockResolvedValue({ ok: true });
  renderInRoan(panel([work('Two-point')]));
  fireEvent.click(screen.getByRole('button', { name: 'Keep “Eyes and breath” for other lessons' }));
  expect(await screen.findByText('“Eyes and breath” is the yard’s own now.')).toBeTruthy();
  expect(await offered()).toContain('Eyes and breath');
});

test('what is not kept is said, and not offered', async () => {
  keep.mockRejectedValue(new Error('gone'));
  renderInRoan(panel([]));
  fireEvent.click(screen.getByRole('button', { name: 'Keep “Eyes and breath” for other lessons' }));
  expect((await screen.findByRole('status')).textContent).toContain('it is not kept');
});
