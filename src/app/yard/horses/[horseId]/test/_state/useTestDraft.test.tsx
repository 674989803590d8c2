/** @jest-environment jsdom */
import { act, renderHook } from '@testing-library/react';
import { useTestDraft } from './useTestDraft';

/** What the device kept, and what it is told to keep. */
const device = { kept: null as unknown, told: [] as unknown[] };
jest.mock('@/components/sync/useDraft', () => {
  const react = jest.requireActual<typeof import('react')>('react');
  return {
    useDraft: (_: string, draft: unknown, found: (left: unknown) => void) => {
      device.told.push(draft);
      const heard = react.useRef(found);
      react.useEffect(() => heard.current(device.kept), []);
    },
  };
});

const open = (usual = {}) => {
  const view = renderHook(() => useTestDraft('quill', 'trot', usual));
  return {
    draft: () => view.result.current.draft!,
    does: (what: (now: typeof view.result.current) => void) => act(() => what(view.result.current)),
  };
};

beforeEach(() => {
  device.kept = null;
  device.told = [];
  localStorage.clear();
});

test('a sheet begins with who rode last and down which lane; nothing is kept of one that was not begun', () => {
  const { draft, does } = open({ riderId: 'ode', lane: { kind: 'steps', steps: 24 } });
  expect(draft()).toMatchObject({ entry: 'trot', riderId: 'ode', lane: { kind: 'steps', steps: 24 }, count: 0 });
  expect(device.told.at(-1)).toBeNull();
  does(now => now.change({ kind: 'tap' }));
  expect(device.told.at(-1)).toMatchObject({ count: 1 });
});

test('what was counted before a reload is there again', () => {
  device.kept = { id: 'kept', entry: 'canter', passes: [{ pace: 'normal', count: 5 }], count: 2 };
  const { draft } = open();
  expect(draft()).toMatchObject({ id: 'kept', entry: 'canter', count: 2, passes: [{ count: 5, behind: null }] });
});

test('what an older Roan kept is taken over, once', () => {
  localStorage.setItem('roan-stride-test-quill', JSON.stringify({ id: 'old', passes: [], count: 3 }));
  expect(open().draft()).toMatchObject({ id: 'old', count: 3, entry: 'trot' });
  expect(open().draft().id).not.toBe('old');
});

test.each(['{', '"words"', '{"id": 4}'])('what is no sheet is left: %s', text => {
  localStorage.setItem('roan-stride-test-quill', text);
  expect(open().draft().count).toBe(0);
});

test('another sheet is begun in the gait that was counted', () => {
  const { draft, does } = open();
  does(now => now.change({ kind: 'set', changes: { entry: 'canter' } }));
  does(now => now.change({ kind: 'tap' }));
  const before = draft().id;
  does(now => now.startOver());
  expect(draft()).toMatchObject({ entry: 'canter', count: 0 });
  expect(draft().id).not.toBe(before);
});
