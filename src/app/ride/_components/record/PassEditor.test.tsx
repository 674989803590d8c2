/** @jest-environment jsdom */
import { fireEvent, screen, within } from '@testing-library/react';
import { useState } from 'react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { lineLayout, lineQuestion, testHorse } from '@/components/testing/testLine';
import { askedRide } from '@/app/ride/askedRide';
import { applyEvent, EMPTY_LOG, passRecord, type PassMark, type RecordEvent, type RecordLog } from '@/core';
import { PassEditor } from './PassEditor';

const DAY_MS = Date.UTC(2026, 10, 3, 16, 30);
let said = 0;
jest.mock('@/app/ride/saying', () => ({
  saying: () => ({ atMs: DAY_MS + 60_000 + (said += 10), by: 'Ines', newId: () => `n${(said += 1)}` }),
}));

const HORSE = testHorse('Quill');
const LAYOUT = lineLayout({ horses: [HORSE] });
const pass = (id: string, atMs: number): RecordEvent => ({
  ...{ type: 'pass', id: `e-${id}`, by: 'Bas' },
  pass: {
    ...{ id, pairId: 'quill', layoutVersionId: 'v', lessonId: 'lesson', stageId: 'line', stage: 'The line' },
    ...{ question: lineQuestion('q', 4), rein: null, direction: 'as-drawn', riddenAtMs: atMs },
  },
});
const mark = (passId: string, id: string, own: object): RecordEvent => ({
  ...{ type: 'mark', id: `e-${id}`, passId, atMs: DAY_MS + 1000, by: 'Bas', mark: { id, ...own } as PassMark },
});
const RIDDEN = [
  ...[pass('one', DAY_MS), mark('one', 'down', { kind: 'fence', place: 2, outcome: 'down' })],
  ...[mark('one', 'four', { kind: 'strides', place: 1, count: 4 }), pass('two', DAY_MS + 30_000)],
].reduce<RecordLog>(applyEvent, EMPTY_LOG);

function edit({ ready = true } = {}) {
  const kept = { log: RIDDEN, said: [] as RecordEvent[], closed: 0 };
  function Board() {
    const [log, setLog] = useState(RIDDEN);
    kept.log = log;
    return (
      <PassEditor
        {...{ log, passId: 'one', layout: LAYOUT, horse: HORSE, ready, homeFacingDeg: null, timeZone: 'Europe/Berlin' }}
        pairs={[
          { id: 'quill', name: 'Quill with Ode' },
          { id: 'moth', name: 'Moth with Ines' },
        ]}
        stages={[
          { id: 'warm', name: 'Warm up' },
          { id: 'line', name: 'The line' },
        ]}
        questions={[lineQuestion('q', 4), { ...lineQuestion('q5', 5), name: 'In five' }]}
        rules={{ faults: [], riderMarks: [] }}
        names={{
          log,
          pairOf: id => (id === 'quill' ? 'Quill with Ode' : 'Moth with Ines'),
          timeOf: String,
          rideOf: ({ question: asked }) => askedRide(LAYOUT, asked, HORSE),
        }}
        onSay={events => {
          kept.said.push(...events);
          setLog(before => events.reduce(applyEvent, before));
        }}
        onClose={() => (kept.closed += 1)}
      />
    );
  }
  renderInRoan(<Board />);
  const one = () => kept.log.passes.find(({ pass: { id } }) => id === 'one')!;
  const two = () => kept.log.passes.find(({ pass: { id } }) => id === 'two')!;
  return { kept, one, two };
}
const choose = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
const marks = () => within(screen.getByRole('list', { name: 'What was marked' }));

beforeEach(() => {
  said = 0;
  jest.useFakeTimers({ now: DAY_MS + 3_600_000, doNotFake: ['setTimeout', 'queueMicrotask'] });
});
afterEach(() => jest.useRealTimers());

describe('a pass put right', () => {
  it('is of another pair, and what it was is kept and can be undone', () => {
    const { kept, one } = edit();
    choose('Who rode', 'moth');
    expect(one().pass.pairId).toBe('moth');
    expect(kept.log.changes).toMatchObject([{ what: 'pair', was: 'quill', to: 'moth', by: 'Ines' }]);
    fireEvent.click(screen.getByRole('button', { name: /^Undo/ }));
    expect(one().pass.pairId).toBe('quill');
    fireEvent.click(screen.getByRole('button', { name: /^Redo/ }));
    expect(one().pass.pairId).toBe('moth');
  });

  it('is of another stage, or of another question over the same', () => {
    const { one } = edit();
    choose('Stage', 'warm');
    expect(one().pass).toMatchObject({ stageId: 'warm', stage: 'Warm up' });
    choose('What was ridden', '0');
    expect(one().pass.question.asked).toEqual([5]);
  });

  it('was ridden at another time of the yard’s clock, never at one that has not come', () => {
    const { one } = edit();
    const when = screen.getByLabelText<HTMLInputElement>('When it was ridden');
    // Half past four by universal time is half past five in the yard, in winter.
    expect(when.value).toBe('2026-11-03T17:30');
    const save = () => fireEvent.submit(when.closest('form')!);
    fireEvent.change(when, { target: { value: '2026-11-04T17:30' } });
    save();
    expect(screen.getByRole('alert').textContent).toContain('has not come yet');
    fireEvent.change(when, { target: { value: '2026-11-03T17:05' } });
    save();
    expect(one().pass.riddenAtMs).toBe(Date.UTC(2026, 10, 3, 16, 5));
    expect(screen.queryByRole('alert')).toBeNull();
  });

  it('is taken back and brought back', () => {
    const { one } = edit();
    fireEvent.click(screen.getByRole('button', { name: 'Take this pass back' }));
    expect(one().counts).toBe(false);
    expect(screen.getByText(/It was taken back and does not count/)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Bring this pass back' }));
    expect(one().counts).toBe(true);
  });

  it('says nothing while what waits here is not known', () => {
    edit({ ready: false });
    expect(screen.getByLabelText<HTMLSelectElement>('Who rode').disabled).toBe(true);
    expect(
      marks()
        .getAllByRole<HTMLButtonElement>('button')
        .every(({ disabled }) => disabled),
    ).toBe(true);
  });

  it('is closed', () => {
    const { kept } = edit();
    fireEvent.click(screen.getByRole('button', { name: 'Close' }));
    expect(kept.closed).toBe(1);
  });
});

describe('its marks', () => {
  it('are taken back one by one, by whom they were made said with them', () => {
    const { one } = edit();
    const [down] = marks().getAllByRole('listitem');
    expect(down!.textContent).toContain('by Bas');
    fireEvent.click(within(down!).getByRole('button', { name: 'Take back' }));
    expect(passRecord(one()).marks.map(({ id }) => id)).toEqual(['four']);
    expect(marks().getAllByRole('listitem')[0]!.textContent).toContain('(taken back)');
    fireEvent.click(marks().getByRole('button', { name: 'Bring back' }));
    expect(passRecord(one()).marks).toHaveLength(2);
  });

  it('are moved to another pass over the same, with one tap and one undo', () => {
    const { one, two } = edit();
    choose('Mark', 'down');
    choose('To the pass of', 'two');
    fireEvent.click(screen.getByRole('button', { name: 'Move it' }));
    expect(passRecord(one()).marks.map(({ kind }) => kind)).toEqual(['strides']);
    expect(passRecord(two()).marks).toMatchObject([{ kind: 'fence', place: 2, outcome: 'down' }]);
    fireEvent.click(screen.getByRole('button', { name: /^Undo/ }));
    expect([passRecord(one()).marks.length, passRecord(two()).marks.length]).toEqual([2, 0]);
  });
});
