/** @jest-environment jsdom */
import { LengthsProvider } from '@/components/Lengths/LengthsProvider';
import { removeThings, USUAL_LIMITS, type Plan } from '@/core';
import { act, renderHook, waitFor } from '@testing-library/react';
import type { ReactNode } from 'react';
import type { EditorGround } from './shown';
import { ARENA, LINE, MAYFLY } from './testShown';
import { usePlanEditor, type MadeOnServer } from './usePlanEditor';

const GROUND: EditorGround = { arena: ARENA, horses: [MAYFLY], fall: null, kit: null };
const MADE: MadeOnServer = { laid: {}, cautions: [], limits: USUAL_LIMITS };

const wrapper = ({ children }: { children: ReactNode }) => (
  <LengthsProvider unit="m" gaitWords="english">
    {children}
  </LengthsProvider>
);
const editor = () => renderHook(() => usePlanEditor({ name: 'A line', plan: LINE }, GROUND, MADE), { wrapper });
const moved = (byM: number) => (plan: Plan) => ({
  ...plan,
  items: plan.items.map(item => (item.id === 'elm' ? { ...item, at: { ...item.at, yM: item.at.yM + byM } } : item)),
});

describe('a layout that is edited', () => {
  it('is reckoned as it stands: a fence that moves changes its distance and how it rides', async () => {
    const { result } = editor();
    const lengths = () => {
      const [track] = result.current.shown.tracks;
      return track?.kind === 'items' ? track.legs.map(({ groundM }) => groundM) : [];
    };
    expect(lengths()).toEqual([18, 18]);
    act(() => result.current.change(moved(1.8)));
    expect(lengths()[1]).toBeCloseTo(19.8, 6);
    // Half a stride of 3.6 m off: what is to be looked at comes after it.
    await waitFor(() => expect(result.current.cautions.map(({ code }) => code)).toContain('between'));
  });

  it('goes back and forward step by step, its name included, and a new step drops what was undone', () => {
    const { result } = editor();
    expect([result.current.canUndo, result.current.canRedo]).toEqual([false, false]);
    act(() => result.current.change(moved(1)));
    act(() => result.current.put({ ...result.current.present, name: 'A longer line' }));
    expect(result.current.present.name).toBe('A longer line');
    act(() => result.current.undo());
    expect(result.current.present.name).toBe('A line');
    act(() => result.current.undo());
    expect(result.current.present.plan).toBe(LINE);
    act(() => result.current.undo());
    expect([result.current.canUndo, result.current.canRedo]).toEqual([false, true]);
    act(() => result.current.redo());
    act(() => result.current.redo());
    expect(result.current.present.name).toBe('A longer line');
    act(() => result.current.undo());
    act(() => result.current.change(moved(2)));
    expect(result.current.canRedo).toBe(false);
  });

  it('takes no step for what changes nothing, and what is left of a track stays one', () => {
    const { result } = editor();
    act(() => result.current.change(plan => plan));
    expect(result.current.canUndo).toBe(false);
    act(() => result.current.change(plan => removeThings(plan, ['birch'], result.current.shown.resolved.ownerOf)));
    const [track] = result.current.present.plan.tracks;
    expect(track?.kind === 'items' && track.through.map(({ item }) => item)).toEqual(['ash', 'elm']);
    expect(result.current.present.plan.items.map(({ id }) => id)).not.toContain('birch');
  });
});
