/** @jest-environment jsdom */
import { fireEvent, screen } from '@testing-library/react';
import { useState } from 'react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import type { RunTrack } from '@/app/ride/askedRide';
import { RIDE_FAULTS, type PadStep, type PassMark, type TappedMark, type TrackGait } from '@/core';
import { MoreMarks } from './MoreMarks';
import { PadKeys } from './PadKeys';
import { usePad } from '../../_state/pad/usePad';

const AT = { xM: 0, yM: 0 };
const fence = (place: number): PadStep => ({
  ...{ kind: 'fence', place, item: `f${place}`, label: String(place), words: `fence ${place}`, at: AT },
});
const pole = (place: number) => ({ ...fence(place), kind: 'pole', words: `pole ${place}`, lies: true }) as PadStep;
const transition = (place: number, from: 'walk' | 'trot', to: 'trot' | 'canter' | 'halt') =>
  ({
    kind: 'transition',
    place,
    from,
    to,
    alongM: 0,
    label: String(place),
    words: `${from} to ${to}`,
    at: AT,
  }) as PadStep;
const legs = (...asked: (number | null)[]) =>
  ({
    legs: asked.map((count, at) => ({
      ...{ from: `fence ${at + 1}`, to: `fence ${at + 2}`, groundM: 21, asked: count, likely: 5 },
      ...{ betweenPoles: false, zeroIs: 'bounce', words: null },
    })),
  }) as unknown as RunTrack;

type PadOf = {
  steps: readonly PadStep[];
  track?: RunTrack | null;
  gait?: TrackGait;
  rider?: readonly string[];
  western?: boolean;
  backwards?: boolean;
};

/** A pad over some steps, that keeps what is said. */
function pad({ steps, track = null, gait = 'course-canter', rider, western = false, backwards = false }: PadOf) {
  const kept: { marks: PassMark[]; more: number } = { marks: [], more: 0 };
  function Board() {
    const [marks, setMarks] = useState<readonly PassMark[]>([]);
    kept.marks = [...marks];
    const add = (said: readonly TappedMark[]) =>
      setMarks(before => [...before, ...said.map((one, at) => ({ id: `${before.length + at}`, ...one }) as PassMark)]);
    const state = usePad({
      ...{ steps, track, passKey: 'one', marks, ready: true, onMarks: add },
      onUnmark: id => setMarks(before => before.filter(mark => mark.id !== id)),
    });
    return (
      <>
        <PadKeys
          {...{ pad: state, gait, backwards, isGaited: false, listens: true, rider }}
          onMore={() => (kept.more += 1)}
        />
        <MoreMarks
          {...{ pad: state, gait, isGaited: false, ready: true }}
          faults={RIDE_FAULTS}
          riderMarks={['hands up']}
          onMark={mark => add([mark])}
        />
      </>
    );
  }
  renderInRoan(<Board />, { gaitWords: western ? 'western' : 'english' });
  return kept;
}
const keys = () => screen.getByRole('region', { name: 'What is marked' });
const names = () =>
  [...keys().querySelectorAll('button')].map(one => one.getAttribute('aria-label') ?? one.textContent);
const key = (name: string | RegExp) =>
  [...keys().querySelectorAll('button')].find(one =>
    typeof name === 'string'
      ? (one.getAttribute('aria-label') ?? [...one.childNodes].find(node => node.nodeName !== 'svg')?.textContent) ===
        name
      : name.test(one.textContent ?? ''),
  )!;
const types = (letter: string) => fireEvent.keyDown(document.body, { key: letter });

describe('the keys of a fence', () => {
  const FENCES = { steps: [fence(1), fence(2), fence(3)], track: legs(5, null) };

  it('say what happened at the one that is chosen; tapped again they say it no more', () => {
    const kept = pad(FENCES);
    fireEvent.click(key('rub'));
    expect(kept.marks).toMatchObject([{ kind: 'fence', place: 1, outcome: 'rub' }]);
    expect(key('rub').getAttribute('aria-pressed')).toBe('true');
    fireEvent.click(key('rub'));
    expect(kept.marks).toEqual([]);
  });

  it('offer leads in canter, and a broken gait at trot', () => {
    pad(FENCES);
    expect(names().join()).toContain('left lead');
    document.body.replaceChildren();
    pad({ ...FENCES, gait: 'trot' });
    expect(names().join()).not.toContain('left lead');
    expect(names().join()).toContain('broke gait');
  });

  it('count strides in a large place that says what was asked, either way round', () => {
    const kept = pad(FENCES);
    expect(key(/Tap each stride/).textContent).toContain('fence 1 to fence 2 · 5 asked');
    for (let i = 0; i < 3; i += 1) fireEvent.click(key(/Tap each stride/));
    expect(key(/Tap each stride/).textContent).toContain('3');
    fireEvent.click(key('On to fence 2'));
    expect(kept.marks).toMatchObject([{ kind: 'strides', place: 1, count: 3 }]);
    fireEvent.click(key('Back one'));
    expect(key(/Tap each stride/).querySelector('strong')?.textContent).toBe('3');
    document.body.replaceChildren();
    pad({ ...FENCES, backwards: true });
    expect(key(/Tap each stride/).textContent).toContain('fence 2 to fence 1');
  });

  it('have no leg behind the last', () => {
    pad(FENCES);
    fireEvent.click(key('On to fence 2'));
    fireEvent.click(key('On to fence 3'));
    expect(key(/the last/).disabled).toBe(true);
    expect(key('On to the end').disabled).toBe(true);
  });

  it('are on a keyboard too: a letter a key, space a stride, arrows and numbers for where one is', () => {
    const kept = pad(FENCES);
    types('3');
    types('d');
    types('ArrowLeft');
    types(' ');
    types(' ');
    types('ArrowRight');
    expect(kept.marks).toMatchObject([
      { kind: 'fence', place: 3, outcome: 'down' },
      { kind: 'strides', place: 2, count: 2 },
    ]);
    types('9');
    expect(key(/the last/)).toBeTruthy();
  });

  it('have the rest behind one key', () => {
    const kept = pad(FENCES);
    fireEvent.click(key('More …'));
    expect(kept.more).toBe(1);
  });
});

test('a row of poles is spoken of as a whole until one is chosen', () => {
  const row = {
    ...legs(null),
    legs: legs(null).legs.map(leg => ({ ...leg, likely: 0, betweenPoles: true })),
  } as RunTrack;
  const kept = pad({ steps: [pole(1), pole(2)], track: row, gait: 'trot' });
  expect(screen.getByRole('status').textContent).toContain('The row as a whole');
  expect(key('hit').disabled).toBe(true);
  fireEvent.click(key('middle'));
  expect(kept.marks).toMatchObject([{ kind: 'footfall', place: null }]);
  fireEvent.click(key('On to pole 1'));
  fireEvent.click(key('hit'));
  expect(kept.marks).toMatchObject([{ kind: 'footfall' }, { kind: 'hit', place: 1 }]);
});

test('a transition has trot steps where there are any, and a wrong lead only into canter', () => {
  const kept = pad({ steps: [transition(1, 'walk', 'trot'), transition(2, 'trot', 'canter')], gait: 'trot' });
  expect(names().join()).not.toContain('wrong lead');
  fireEvent.click(key('prompt'));
  expect(names().join()).toContain('wrong lead');
  fireEvent.click(key(/Tap each trot step/));
  fireEvent.click(key(/Tap each trot step/));
  fireEvent.click(key('wrong lead'));
  expect(kept.marks).toMatchObject([
    { kind: 'transition', place: 1, how: 'prompt' },
    { kind: 'transition', place: 2, how: 'wrong lead', trotSteps: 2 },
  ]);
});

test('a western yard hears its own words, and says the same', () => {
  pad({ steps: [transition(1, 'trot', 'canter')], gait: 'trot', western: true });
  expect(key(/Tap each/).textContent).toContain('Tap each jog step');
  expect(key(/Tap each/).textContent).toContain('jog to lope');
});

test('where the rider is worked on, what is watched is under the thumb', () => {
  const kept = pad({ steps: [fence(1)], rider: ['heels up', 'looks down'] });
  fireEvent.click(key('looks down'));
  fireEvent.click(key('quality 4 of 5'));
  expect(kept.marks).toMatchObject([
    { kind: 'rider', what: 'looks down' },
    { kind: 'quality', value: 4 },
  ]);
});

describe('what a pass seldom needs', () => {
  const more = (name: string) => fireEvent.click(screen.getByRole('button', { name }));

  it('is said of the pass: its quality, a fault, the gait, the head, the rider', () => {
    const kept = pad({ steps: [fence(1)], track: legs() });
    more(RIDE_FAULTS[1]!);
    more('hands up');
    expect(kept.marks).toMatchObject([
      { kind: 'fault', place: null, fault: RIDE_FAULTS[1] },
      { kind: 'rider', what: 'hands up' },
    ]);
    expect(screen.getByRole('button', { name: 'hands up' }).getAttribute('aria-pressed')).toBe('true');
  });

  it('is a word of note, never longer than can be kept', () => {
    const kept = pad({ steps: [fence(1)] });
    const note = screen.getByLabelText<HTMLInputElement>('A word of note');
    more('Note it');
    expect(kept.marks).toEqual([]);
    fireEvent.change(note, { target: { value: 'x'.repeat(2000) } });
    expect(screen.getByRole('alert').textContent).toContain('this has 2000');
    fireEvent.change(note, { target: { value: '  looked at the gate ' } });
    more('Note it');
    expect(kept.marks).toMatchObject([{ kind: 'note', words: 'looked at the gate' }]);
    expect(note.value).toBe('');
  });

  it('is a pass that was given up before the line', () => {
    const kept = pad({ steps: [fence(1)] });
    more('Given up before the line: does not count');
    expect(kept.marks).toMatchObject([{ kind: 'void' }]);
  });

  it('is the count as a number, from two below what was asked', () => {
    const kept = pad({ steps: [fence(1), fence(2)], track: legs(5) });
    const counts = screen.getByRole('group', { name: 'Strides' });
    expect([...counts.querySelectorAll('button')].map(one => one.textContent)).toEqual(['3', '4', '5', '6', '7', '8']);
    fireEvent.click([...counts.querySelectorAll('button')][3]!);
    expect(kept.marks).toMatchObject([{ kind: 'strides', place: 1, count: 6 }]);
  });
});
