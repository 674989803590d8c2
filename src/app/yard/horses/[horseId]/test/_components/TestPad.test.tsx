/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { useReducer } from 'react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { changeDraft, newDraft, type DraftChange, type TestDraft } from '../_state/testDraft';
import { TestPad } from './TestPad';

jest.mock('@/app/ride/_components/pad/shake', () => ({ shake: () => {} }));
jest.mock('@/app/ride/_state/pad/useWakeLock', () => ({ useWakeLock: () => {} }));

function pad({
  turns = [{ horseId: null as string | null, name: 'Quill' }],
  unit = 'm' as 'm' | 'ft',
  western = false,
} = {}) {
  const kept = { draft: newDraft('test', 'trot'), closed: 0 };
  function Board() {
    let fresh = 0;
    const step = (draft: TestDraft, change: DraftChange) => changeDraft(draft, change, `fresh ${(fresh += 1)}`);
    const [draft, change] = useReducer(step, kept.draft);
    kept.draft = draft;
    const horse = turns.find(({ horseId }) => horseId === draft.horseId)!.name;
    return (
      <TestPad
        {...{ horse, turns, draft, change }}
        onClose={() => (kept.closed += 1)}
        settings={<p>Gait and lane</p>}
      />
    );
  }
  renderInRoan(<Board />, { unit, gaitWords: western ? 'western' : 'english' });
  return kept;
}
const key = (name: RegExp) => screen.getByRole<HTMLButtonElement>('button', { name });
const strides = (times: number) => {
  for (let i = 0; i < times; i += 1) fireEvent.click(key(/^\d+ ?Tap each time/));
};
const count = () => key(/^\d+ ?Tap each time/).querySelector('strong')!.textContent;

test('strides are tapped, the last one back, and the pass kept with its pace', () => {
  const kept = pad();
  expect(key(/Keep this pass/).disabled).toBe(true);
  strides(8);
  fireEvent.click(key(/One back/));
  expect(count()).toBe('7');
  fireEvent.click(key(/Keep this pass/));
  expect(kept.draft.passes).toMatchObject([{ pace: 'normal', count: 7, voided: false }]);
  expect(key(/^normal/).textContent).toBe('normal7');
  expect(count()).toBe('0');
});

test('what is counted is never relabelled: no other pace while it counts', () => {
  const kept = pad();
  fireEvent.click(key(/^short/));
  strides(2);
  expect(key(/^long/).disabled).toBe(true);
  fireEvent.click(key(/Keep this pass/));
  expect(key(/^long/).disabled).toBe(false);
  expect(kept.draft.passes[0]!.pace).toBe('short');
});

test('a pass whose gait broke is void, whether or not a stride was counted', () => {
  const kept = pad();
  fireEvent.click(key(/Void/));
  expect(kept.draft.passes).toMatchObject([{ voided: true }]);
  expect(key(/^normal/).textContent).toBe('normalnone yet');
  expect(screen.queryByRole('region', { name: 'How the last pass went' })).toBeNull();
});

test('a kept pass is taken back, with its count', () => {
  const kept = pad();
  strides(5);
  fireEvent.click(key(/Keep this pass/));
  fireEvent.click(key(/Take back/));
  expect(kept.draft.passes).toEqual([]);
  expect(count()).toBe('5');
});

test('how the last pass went is said with one tap, and said no more with another', () => {
  const kept = pad();
  strides(5);
  fireEvent.click(key(/Keep this pass/));
  fireEvent.click(key(/^rhythm 4$/));
  expect(kept.draft.passes[0]!.rhythm).toBe(4);
  fireEvent.click(key(/^rhythm 4$/));
  expect(kept.draft.passes[0]!.rhythm).toBeNull();
  strides(1);
  expect(screen.queryByRole('region', { name: 'How the last pass went' })).toBeNull();
});

test('two horses in turn: each keeps what was counted of it', () => {
  const kept = pad({
    turns: [
      { horseId: null, name: 'Quill' },
      { horseId: 'moth', name: 'Moth' },
    ],
  });
  strides(4);
  expect(key(/^Moth$/).disabled).toBe(true);
  fireEvent.click(key(/Keep this pass/));
  fireEvent.click(key(/^Moth$/));
  strides(6);
  fireEvent.click(key(/Keep this pass/));
  expect(kept.draft).toMatchObject({ horseId: 'moth', passes: [{ count: 6 }] });
  expect(kept.draft.others).toMatchObject([{ horseId: null, passes: [{ count: 4 }] }]);
});

test('it says gait, lane and foot in the yard’s unit and words; the space bar counts', () => {
  pad({ unit: 'ft', western: true });
  expect(screen.getByRole('heading').textContent).toMatch(/^Jog/i);
  expect(key(/^0 ?Tap each time/).textContent).toMatch(/lane of \d+ ft/);
  fireEvent.keyDown(document.body, { key: ' ', code: 'Space' });
  expect(count()).toBe('1');
});

test('the results and the settings are a tap away', async () => {
  const kept = pad();
  fireEvent.click(key(/^Results$/));
  expect(kept.closed).toBe(1);
  fireEvent.click(screen.getByRole('heading', { level: 1 }).closest('button')!);
  expect(await screen.findByText('Gait and lane')).toBeTruthy();
});
