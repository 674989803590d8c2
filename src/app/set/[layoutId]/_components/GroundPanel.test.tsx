/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { lineLayout } from '@/components/testing/testLine';
import { reckonLayout, settingSheet } from '@/core';
import { useGroundTruth } from '../_state/useGroundTruth';
import { GroundPanel } from './GroundPanel';

const [keep, refresh] = [jest.fn(), jest.fn()];
jest.mock('../../actions', () => ({ keepStandingAction: (...sent: unknown[]) => keep(...sent) }));
jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));
jest.mock('./GroundPicture', () => ({ GroundPicture: () => <p>As it stands, from above</p> }));
jest.mock('./GroundRibbon', () => ({ GroundRibbon: () => null }));
jest.mock('./ChangedLegs', () => ({
  ChangedLegs: ({ changes }: { changes: readonly unknown[] }) => <p>{changes.length} changed</p>,
}));

const LAYOUT = lineLayout();
const SHEET = settingSheet(LAYOUT, { measureBy: 'line', from: { xM: 0, yM: 0 } });

function panel({ stepM = null as number | null } = {}) {
  const onKept = jest.fn();
  function Board() {
    const truth = useGroundTruth(LAYOUT, SHEET, 'line', { unit: 'm', stepM }, 'measured line 1');
    return (
      <GroundPanel
        {...{ layoutId: 'line', revision: 3, layout: LAYOUT, whole: LAYOUT, truth, stage: null, steps: [], onKept }}
        tracks={reckonLayout(LAYOUT)}
        walker={stepM === null ? null : ({ name: 'Ines', stepLengthM: stepM } as never)}
      />
    );
  }
  renderInRoan(<Board />);
  return onKept;
}
const leg = () => screen.getByLabelText<HTMLInputElement>('piece 1 to piece 2');
const type = (value: string) => fireEvent.change(leg(), { target: { value } });
/** What reckons it is fetched for the first that is measured. */
const measured = async (value: string) => {
  type(value);
  await screen.findByRole('button', { name: 'Ride it as it stands' });
};

beforeEach(() => {
  [keep, refresh].forEach(one => one.mockReset());
  localStorage.clear();
  window.scrollTo = () => {};
});

test('nothing is kept before something was measured; what is no length is said', () => {
  panel();
  expect(screen.getByText('Nothing typed yet.')).toBeTruthy();
  expect(screen.getByText('planned 18.00 m')).toBeTruthy();
  type('long');
  expect(screen.queryByRole('button', { name: 'Ride it as it stands' })).toBeNull();
  expect(leg().getAttribute('aria-invalid')).toBe('true');
});

test('what was measured is drawn, and ridden as it stands', async () => {
  keep.mockResolvedValue({ ok: true });
  const onKept = panel();
  await measured('18.6');
  expect(screen.getByText('As it stands, from above')).toBeTruthy();
  expect(screen.getByText('1 changed')).toBeTruthy();
  fireEvent.click(screen.getByRole('button', { name: 'Ride it as it stands' }));
  await waitFor(() => expect(onKept).toHaveBeenCalledTimes(1));
  expect(keep).toHaveBeenCalledWith(
    expect.objectContaining({
      layoutId: 'line',
      revision: 3,
      stage: null,
      typed: expect.objectContaining({ legs: [{ track: 'line', leg: 0, groundM: 18.6 }] }),
    }),
  );
  expect(leg().value).toBe('');
});

test('without an answer, or where another changed the layout, what was typed stays', async () => {
  keep
    .mockRejectedValueOnce(new Error('gone'))
    .mockResolvedValueOnce({ ok: false, problem: 'It was changed meanwhile.', fields: {} });
  const onKept = panel();
  await measured('18.6');
  const ride = () => act(async () => fireEvent.click(screen.getByRole('button', { name: 'Ride it as it stands' })));
  await ride();
  expect(screen.getByText(/what you typed is kept here/)).toBeTruthy();
  await ride();
  expect(screen.getByText('It was changed meanwhile.')).toBeTruthy();
  expect([leg().value, onKept.mock.calls.length]).toEqual(['18.6', 0]);
});

test('it is put back as it was planned', async () => {
  panel();
  await measured('18.6');
  fireEvent.click(screen.getByRole('button', { name: 'Put it back as planned' }));
  expect([leg().value, screen.queryByText('1 changed')]).toEqual(['', null]);
});

test('it is counted while it is walked where somebody’s step is known', async () => {
  panel({ stepM: 0.9 });
  fireEvent.click(screen.getByRole('button', { name: 'Walk it: piece 1 to piece 2' }));
  expect(await screen.findByRole('dialog')).toBeTruthy();
});
