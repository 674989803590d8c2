/** @jest-environment jsdom */
import type { LessonPlan } from '@/core';
import { act, renderHook, waitFor } from '@testing-library/react';
import { useLessonSave } from './useLessonSave';
import type { KeptTyped } from './useTypedLesson';

const save = jest.fn();
jest.mock('../actions', () => ({ saveLessonAction: (...sent: unknown[]) => save(...sent) }));
const router = { push: jest.fn(), refresh: jest.fn() };
jest.mock('next/navigation', () => ({ useRouter: () => router }));

const PLAN: LessonPlan = { pairIds: ['a'], stages: [], breakEveryMin: 10 };
const TYPED = { name: 'The bend', arenaId: 'lower', startsAt: '2026-12-01T10:30', plan: PLAN };

function saving(lessonId: string | null, isKept = true) {
  const kept = { isBack: false, isKept: () => isKept, drop: jest.fn(), startAgain: jest.fn() } satisfies KeptTyped;
  const onSaved = jest.fn();
  const first = { revision: lessonId === null ? null : 3, plan: PLAN };
  const hook = renderHook(() => useLessonSave({ lessonId, first, typed: TYPED, kept, onSaved }));
  return { hook, kept, onSaved };
}

describe('a lesson that is saved', () => {
  beforeEach(() => {
    save.mockReset();
    router.push.mockReset();
  });

  it('leads to its page, forgets what the device kept of it, and goes on from what somebody else changed', async () => {
    const theirs = { ...PLAN, breakEveryMin: 8 };
    save.mockResolvedValue({
      ok: true,
      lessonId: 'lesson',
      said: ['8 minutes now.'],
      saved: { revision: 5, plan: theirs },
    });
    const { hook, kept, onSaved } = saving('lesson');
    act(() => hook.result.current.save());
    await waitFor(() => expect(router.push).toHaveBeenCalledWith('/ride/lessons/lesson'));
    expect(kept.drop).toHaveBeenCalledTimes(1);
    expect(onSaved).toHaveBeenCalledWith(theirs);
    expect(hook.result.current.said).toEqual(['8 minutes now.']);
    // What is saved next is over what was saved.
    act(() => hook.result.current.save());
    await waitFor(() => expect(save).toHaveBeenCalledTimes(2));
    expect([save.mock.calls[0]![2].revision, save.mock.calls[1]![2].revision]).toEqual([3, 5]);
  });

  it('stays with what is wrong at its fields where it is refused', async () => {
    save.mockResolvedValue({ ok: false, problem: null, fields: { name: 'Give the lesson a name.' } });
    const { hook, kept } = saving('lesson');
    act(() => hook.result.current.save());
    await waitFor(() => expect(hook.result.current.problem).toBe('Give the lesson a name.'));
    expect(hook.result.current.faults).toEqual({ name: 'Give the lesson a name.' });
    expect(kept.drop).not.toHaveBeenCalled();
    expect(router.push).not.toHaveBeenCalled();
  });

  it('says where what was typed is while the server does not answer, and a new lesson keeps its name when it is sent again', async () => {
    save.mockRejectedValue(new Error('gone'));
    const { hook } = saving(null, false);
    act(() => hook.result.current.save());
    await waitFor(() => expect(hook.result.current.problem).toMatch(/still here/));
    act(() => hook.result.current.save());
    await waitFor(() => expect(save).toHaveBeenCalledTimes(2));
    const [once, again] = save.mock.calls;
    expect(once![2]).toBeNull();
    // Both the save and the lesson are the same: taken twice it is made once.
    expect([again![4], again![5]]).toEqual([once![4], once![5]]);
  });
});
