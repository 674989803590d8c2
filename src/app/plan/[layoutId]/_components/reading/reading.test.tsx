/** @jest-environment jsdom */
import { LengthsProvider } from '@/components/Lengths/LengthsProvider';
import { layoutLabels, type Fence, type ReckonedItemTrack } from '@/core';
import { MantineProvider } from '@mantine/core';
import { act, cleanup, fireEvent, render, screen, within } from '@testing-library/react';
import type { ReactNode } from 'react';
import { LINE, MAYFLY, shows } from '../../_state/testShown';
import type { Typing } from '../../_state/useTyping';
import { CountsTable } from './CountsTable';
import { GroupGlance } from './GroupGlance';
import { HeightRows } from './HeightRows';
import { LegRows } from './LegRows';

beforeAll(() => {
  window.matchMedia = () => ({ matches: false, addEventListener() {}, removeEventListener() {} }) as never;
});

afterEach(cleanup);

const show = (children: ReactNode) =>
  render(
    <MantineProvider>
      <LengthsProvider unit="m">{children}</LengthsProvider>
    </MantineProvider>,
  );

/** The line of the tests with a count asked of its first leg: three fences, 18 m from each to the next. */
function line(asked: number | null = null) {
  const tracks = LINE.tracks.map(track =>
    'legs' in track ? { ...track, legs: [{ ...track.legs[0]!, asked }, track.legs[1]!] } : track,
  );
  const { resolved, tracks: ridden } = shows()({ ...LINE, tracks });
  const [track] = resolved.layout.tracks;
  if (track?.kind !== 'items') throw new Error('a line goes over items');
  return {
    layout: resolved.layout,
    track,
    reckoned: ridden[0] as ReckonedItemTrack,
    labels: layoutLabels(resolved.layout),
  };
}

/** What is typed is noted, and nothing is against it. */
const typing = () => {
  const fine = Promise.resolve(null);
  return {
    distance: jest.fn((..._: Parameters<Typing['distance']>) => fine),
    asked: jest.fn((..._: Parameters<Typing['asked']>) => fine),
    height: jest.fn((..._: Parameters<Typing['height']>) => fine),
    grow: jest.fn((..._: Parameters<Typing['grow']>) => fine),
  };
};

async function typeInto(label: string, text: string) {
  const field = screen.getByLabelText(label);
  await act(async () => {
    fireEvent.change(field, { target: { value: text } });
    fireEvent.keyDown(field, { key: 'Enter' });
  });
}

test('each distance and each count is typed by itself, in any unit', async () => {
  const { track, reckoned, labels } = line();
  const typed = typing();
  const chosen: number[] = [];
  show(
    <LegRows
      {...{ track, reckoned, labels, typing: typed, stops: ['1', '2', '3'] }}
      onSelectLeg={({ leg }) => chosen.push(leg)}
    />,
  );
  await typeInto('Distance from birch (fence 2) to elm (fence 3)', '20yd');
  expect(typed.distance).toHaveBeenCalledWith('line', 1, expect.closeTo(20 * 0.9144, 9));
  await typeInto('Asked from ash (fence 1) to birch (fence 2)', '4');
  expect(typed.asked).toHaveBeenCalledWith('line', 0, 4);
  await typeInto('Asked from ash (fence 1) to birch (fence 2)', 'bounce');
  expect(typed.asked).toHaveBeenLastCalledWith('line', 0, 0);
  await typeInto('Distance from ash (fence 1) to birch (fence 2)', 'far');
  expect(typed.distance).toHaveBeenCalledTimes(1);
  fireEvent.click(screen.getByRole('button', { name: /read birch/ }));
  expect(chosen).toEqual([1]);
});

test('heights are typed for one or for all; where they differ the field for all is empty', async () => {
  const { layout, labels } = line();
  const fences = layout.items.filter((item): item is Fence => item.kind === 'fence');
  const typed = typing();
  const { unmount } = show(<HeightRows fences={fences} labels={labels} typing={typed} />);
  expect(screen.getByLabelText<HTMLInputElement>('Height of all fences').value).toBe('0.60 m');
  await typeInto('Height of all fences', '80 cm');
  expect(typed.height).toHaveBeenCalledWith(['ash', 'birch', 'elm'], 0.8);
  await typeInto('Height of birch (fence 2)', '0.9');
  expect(typed.height).toHaveBeenLastCalledWith(['birch'], 0.9);
  unmount();
  const differ = fences.map((fence, index) => ({ ...fence, heightM: 0.6 + index / 10 }));
  show(<HeightRows fences={differ} labels={labels} typing={typed} />);
  expect(screen.getByLabelText<HTMLInputElement>('Height of all fences').value).toBe('');
});

// Common practice, no source: 18 m are four strides of 3.6 m; in three they want 4.5 m, in five 3 m.
test('the count that is asked, one fewer and one more are read side by side, out of reach with a caution', () => {
  const { layout, track, reckoned } = line(4);
  show(<CountsTable layout={layout} track={track} leg={0} ridden={reckoned.legs[0]!} />);
  const headers = screen.getAllByRole('columnheader').map(cell => cell.textContent);
  expect(headers).toEqual(['Horse', 'three', 'fourasked', 'five']);
  const cells = within(screen.getByRole('row', { name: /^Mayfly/ })).getAllByRole('cell');
  expect(cells.map(cell => cell.textContent?.match(/too far|easy|too tight|short/)?.[0])).toEqual([
    'too far',
    'easy',
    'too tight',
  ]);
  expect(screen.getAllByLabelText('out of reach')).toHaveLength(2);
});

test('where no count is asked the likeliest stands in the middle', () => {
  const { layout, track, reckoned } = line();
  show(<CountsTable layout={layout} track={track} leg={0} ridden={reckoned.legs[0]!} />);
  expect(screen.getByText(/four is what most do by themselves/)).toBeDefined();
});

test('the group at a glance leads to the horse and to its worst leg', () => {
  const { reckoned } = line(5);
  const [horses, legs]: [string[], number[]] = [[], []];
  show(
    <GroupGlance
      {...{ reckoned, stops: ['1', '2', '3'], chosen: null }}
      onHorse={id => horses.push(id)}
      onSelectLeg={({ leg }) => legs.push(leg)}
    />,
  );
  expect(screen.getByRole('img', { name: 'too tight, easy' })).toBeDefined();
  fireEvent.click(screen.getByRole('button', { name: 'Mayfly' }));
  fireEvent.click(screen.getByRole('button', { name: 'too tight five, 1 to 2' }));
  expect([horses, legs]).toEqual([[MAYFLY.id], [0]]);
});
