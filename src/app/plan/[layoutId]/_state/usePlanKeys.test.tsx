/** @jest-environment jsdom */
import { fireEvent, render, screen } from '@testing-library/react';
import { PLAN_KEYS } from './planKeys';
import { usePlanKeys, type KeyDeeds } from './usePlanKeys';

const done: string[] = [];
const LETTERS = ['a', 'i', 'o', 'w', 'm', 'c', 'e', 'k', 'r', 'h', 'p', 'f', 's', 'l', 'v'] as const;
const DEEDS: KeyDeeds = {
  undo: () => done.push('undo'),
  redo: () => done.push('redo'),
  move: ({ x, y }) => done.push(`move ${x} ${y}`),
  pan: ({ x, y }) => done.push(`pan ${x} ${y}`),
  turn: leftwards => done.push(leftwards ? 'left' : 'right'),
  letGo: () => done.push('let go'),
  remove: () => done.push('remove'),
  letters: Object.fromEntries(
    LETTERS.map(letter => [letter, () => done.push(letter)]),
  ) as unknown as KeyDeeds['letters'],
};

function Page() {
  usePlanKeys(DEEDS);
  return (
    <>
      <input aria-label="name" />
      <input type="checkbox" aria-label="a switch" />
      <div role="dialog">
        <button>in a dialog</button>
      </div>
      <button>a key of the page</button>
    </>
  );
}

/** What a key does, pressed where the focus is; `null` where it is left to the browser. */
function press(key: string, more: KeyboardEventInit = {}, at: Element = document.body): string | null {
  done.length = 0;
  const isLeft = fireEvent.keyDown(at, { key, ...more });
  return isLeft ? null : (done[0] ?? '');
}

describe('keys on the plan', () => {
  beforeEach(() => void render(<Page />));

  it('do what the page of keys says, letter by letter', () => {
    const listed = PLAN_KEYS.flatMap(({ keys }) => keys.map(({ keys: name }) => name)).filter(
      name => name.length === 1,
    );
    expect([...listed].sort()).toEqual([...LETTERS].sort());
    for (const letter of listed) expect(press(letter)).toBe(letter);
  });

  it('move, push, turn, take away, undo and redo', () => {
    expect(press('ArrowLeft')).toBe('move -1 0');
    expect(press('ArrowUp', { ctrlKey: true })).toBe('pan 0 -1');
    expect([press(','), press('.')]).toEqual(['left', 'right']);
    // With Alt some keyboards give another sign.
    expect([press('≤', { altKey: true }), press('≥', { altKey: true })]).toEqual(['left', 'right']);
    expect([press('Delete'), press('Backspace'), press('Escape')]).toEqual(['remove', 'remove', 'let go']);
    expect([press('z', { ctrlKey: true }), press('Z', { metaKey: true, shiftKey: true })]).toEqual(['undo', 'redo']);
    expect(press('y', { ctrlKey: true })).toBe('redo');
  });

  it('are left to the browser where it has its own, and to what is typed into', () => {
    expect(press('s', { ctrlKey: true })).toBeNull();
    expect(press('s', { altKey: true })).toBeNull();
    expect(press('x')).toBeNull();
    expect(press('s', {}, screen.getByRole('textbox'))).toBeNull();
    expect(press('s', {}, screen.getByRole('button', { name: 'in a dialog' }))).toBeNull();
    const box = screen.getByRole('checkbox');
    expect([press('ArrowLeft', {}, box), press(' ', {}, box), press('s', {}, box)]).toEqual([null, null, 's']);
    expect(press('s', {}, screen.getByRole('button', { name: 'a key of the page' }))).toBe('s');
  });
});
