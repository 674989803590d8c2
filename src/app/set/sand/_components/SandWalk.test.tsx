/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { layoutHorse, type Arena } from '@/core';
import { NOTHING_WALKED, type SandTyped } from './sandTyped';
import { SandWalk } from './SandWalk';

const [make, push] = [jest.fn(), jest.fn()];
jest.mock('../../actions', () => ({ sandLayoutAction: (...sent: unknown[]) => make(...sent) }));
jest.mock('next/navigation', () => ({ useRouter: () => ({ push }) }));
jest.mock('../../[layoutId]/_components/GroundRibbon', () => ({ GroundRibbon: () => <p>The line unrolled</p> }));
const device = { kept: null as unknown, told: null as unknown };
jest.mock('@/components/sync/useDraft', () => {
  const react = jest.requireActual<typeof import('react')>('react');
  return {
    useDraft: (_: string, draft: unknown, found: (left: unknown) => void) => {
      device.told = draft;
      const heard = react.useRef(found);
      react.useEffect(() => heard.current(device.kept), []);
    },
  };
});

const ARENA: Arena = { widthM: 20, lengthM: 60, letters: 'none' };
const HORSE = layoutHorse({
  ...{ id: 'h', name: 'Quill', heightM: 1.6, type: 'all-round', level: 'novice' },
  strides: {},
});
const sand = ({ walkers = [{ id: 'ines', name: 'Ines', stepLengthM: 0.9 }] } = {}) =>
  renderInRoan(
    <SandWalk
      arenas={[{ id: 'lower', name: 'Lower sand', arena: ARENA }]}
      horses={[{ id: 'quill', name: 'Quill', horse: HORSE }]}
      walkers={walkers}
    />,
  );
const type = (label: string, value: string) => fireEvent.change(screen.getByLabelText(label), { target: { value } });
const layoutKey = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Make it a layout' });
const onToNext = () => fireEvent.click(screen.getByRole('button', { name: 'And on to the next' }));

beforeEach(() => {
  [make, push].forEach(one => one.mockReset());
  Object.assign(device, { kept: null, told: null });
});

test('a line is walked from its wall, piece by piece, in steps of whoever walks; then it is a layout', async () => {
  make.mockResolvedValue({ ok: true, layoutId: 'made' });
  sand();
  expect(layoutKey().disabled).toBe(true);
  type('From the wall to the first', '10 steps');
  onToNext();
  expect(layoutKey().disabled).toBe(true);
  type('From 1 to 2', '18 m');
  expect(screen.getByText('The line unrolled')).toBeTruthy();
  type('Name', 'As it stands');
  fireEvent.click(layoutKey());
  await waitFor(() => expect(push).toHaveBeenCalledWith('/plan/made'));
  const sent = make.mock.calls[0]![0] as { pieces: { gapM: number }[]; fromLeftHandM: number };
  expect(sent).toMatchObject({ name: 'As it stands', arenaId: 'lower', from: 'near', fromLeftHandM: 10 });
  expect(sent.pieces.map(({ gapM }) => gapM)).toEqual([9, 18]);
});

test('without anybody’s step a number of steps is no length, and it says so', () => {
  sand({ walkers: [] });
  type('From the wall to the first', '10 steps');
  expect(screen.getByLabelText('From the wall to the first').getAttribute('aria-invalid')).toBe('true');
  expect(layoutKey().disabled).toBe(true);
  expect(screen.queryByRole('button', { name: /^Walk it/ })).toBeNull();
});

test('what does not go into the arena is said at the piece', () => {
  sand();
  type('From the wall to the first', '40 m');
  onToNext();
  type('From 1 to 2', '30 m');
  expect(screen.getByLabelText('From 1 to 2').getAttribute('aria-invalid')).toBe('true');
  expect(layoutKey().disabled).toBe(true);
});

test('a piece is left out; the last one stays', () => {
  sand();
  expect(screen.queryByRole('button', { name: 'Leave piece 1 out' })).toBeNull();
  onToNext();
  fireEvent.click(screen.getByRole('button', { name: 'Leave piece 2 out' }));
  expect(screen.queryByLabelText('From 1 to 2')).toBeNull();
});

test('what was walked before a reload is there again, unless its arena is gone', () => {
  const left: SandTyped = {
    ...{ ...NOTHING_WALKED, arenaId: 'lower', walkerId: 'ines', name: 'Kept' },
    pieces: [{ key: 'a', gap: '12 m', choice: 'vertical' }],
  };
  device.kept = left;
  const { unmount } = sand();
  expect(screen.getByLabelText<HTMLInputElement>('From the wall to the first').value).toBe('12 m');
  expect(device.told).toMatchObject({ name: 'Kept' });
  unmount();
  device.kept = { ...left, arenaId: 'gone' };
  sand();
  expect(screen.getByLabelText<HTMLInputElement>('From the wall to the first').value).toBe('');
});

test('where the server does not answer, or refuses, what was walked stays', async () => {
  make
    .mockRejectedValueOnce(new Error('gone'))
    .mockResolvedValueOnce({ ok: false, problem: null, fields: { name: 'A name.' } });
  sand();
  type('From the wall to the first', '12 m');
  await act(async () => fireEvent.click(layoutKey()));
  expect(screen.getByText(/kept on this device/)).toBeTruthy();
  await act(async () => fireEvent.click(layoutKey()));
  expect(screen.getByText('A name.')).toBeTruthy();
  expect(screen.getByLabelText<HTMLInputElement>('From the wall to the first').value).toBe('12 m');
  expect(push).not.toHaveBeenCalled();
});
