/** @jest-environment jsdom */
import { act, fireEvent, screen, waitFor } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { askedRide } from '@/app/ride/askedRide';
import { lineLayout, lineQuestion, testHorse } from '@/components/testing/testLine';
import { ReadFiles } from './ReadFiles';

const read = jest.fn();
jest.mock('../actions', () => ({ readRecordingAction: (...sent: unknown[]) => read(...sent) }));

const HORSE = testHorse('Quill');
const LAYOUT = lineLayout();
const ASKED = { lessonId: 'lesson', pairId: 'quill', stageId: 'line', questionId: 'q' };
const FOUND = {
  ...{ ridden: ['ash', 'birch'], missed: [], extra: [], feet: 12, kept: false },
  strides: [{ place: 1, count: 4 }],
  path: [
    { xM: 10, yM: 5 },
    { xM: 10, yM: 40 },
  ],
};

function files() {
  const ride = askedRide(LAYOUT, lineQuestion('q', 5), HORSE)!;
  return renderInRoan(<ReadFiles asked={ASKED} layout={LAYOUT} ride={ride} />);
}
const choose = async (container: HTMLElement, which: number, name: string, text: string) => {
  const file = Object.assign(new File([text], name), { text: async () => text });
  await act(async () => {
    fireEvent.change(container.querySelectorAll('input[type=file]')[which]!, { target: { files: [file] } });
  });
};
const look = () => screen.getByRole<HTMLButtonElement>('button', { name: 'Look at it' });

beforeEach(() => read.mockReset());

test('a track and footfalls are looked at, and kept as a pass only when that is said', async () => {
  read
    .mockResolvedValueOnce({ ok: true, recording: FOUND })
    .mockResolvedValueOnce({ ok: true, recording: { ...FOUND, kept: true } });
  const { container } = files();
  expect(look().disabled).toBe(true);
  await choose(container, 0, 'ride.gpx', '<gpx/>');
  await choose(container, 1, 'feet.csv', 'time,foot');
  expect(screen.getByRole('button', { name: 'ride.gpx' })).toBeTruthy();
  fireEvent.click(look());
  const found = await screen.findByRole('group', { name: 'What was found' });
  expect(found.textContent).toMatch(/4 strides/);
  expect(read.mock.calls[0]![0]).toMatchObject({ ...ASKED, gpx: '<gpx/>', footfalls: 'time,foot', keep: false });
  await waitFor(() => expect(look().dataset.loading).toBeUndefined());
  fireEvent.click(screen.getByRole('button', { name: 'Keep it as a pass' }));
  expect(await screen.findByText('It is a pass of this lesson now.')).toBeTruthy();
  expect(read.mock.calls[1]![0]).toMatchObject({ keep: true });
});

test('what was missed and what was ridden beside the plan is said; without footfalls there are no strides', async () => {
  read.mockResolvedValue({
    ...{ ok: true },
    recording: { ...FOUND, ridden: ['ash'], missed: ['birch'], extra: ['ash'], strides: [], feet: 0 },
  });
  const { container } = files();
  await choose(container, 0, 'ride.gpx', '<gpx/>');
  fireEvent.click(look());
  const found = await screen.findByRole('group', { name: 'What was found' });
  expect(found.textContent).toMatch(/Not ridden: .*2/);
  expect(found.textContent).toMatch(/Ridden beside the plan/);
  expect(found.textContent).toContain('No footfalls, so no strides.');
  expect(found.textContent).not.toMatch(/stride[s]?\b(?=.*4)/);
});

test('another file, or another way, is looked at anew', async () => {
  read.mockResolvedValue({ ok: true, recording: FOUND });
  const { container } = files();
  await choose(container, 0, 'ride.gpx', '<gpx/>');
  fireEvent.click(look());
  await screen.findByRole('group', { name: 'What was found' });
  await choose(container, 0, 'again.gpx', '<gpx></gpx>');
  expect(screen.queryByRole('group', { name: 'What was found' })).toBeNull();
});

test('what is no track is said, and the file stays', async () => {
  read.mockResolvedValueOnce({ ok: false, problem: 'Line 3 of the track has no place.', fields: {} });
  read.mockRejectedValueOnce(new Error('gone'));
  const { container } = files();
  await choose(container, 0, 'ride.gpx', 'nonsense');
  fireEvent.click(look());
  expect((await screen.findByRole('alert')).textContent).toBe('Line 3 of the track has no place.');
  await waitFor(() => expect(look().dataset.loading).toBeUndefined());
  fireEvent.click(look());
  await waitFor(() => expect(screen.getByRole('alert').textContent).toContain('nothing was kept'));
  expect(screen.getByRole('button', { name: 'ride.gpx' })).toBeTruthy();
});
