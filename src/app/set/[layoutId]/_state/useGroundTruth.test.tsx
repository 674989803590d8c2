/** @jest-environment jsdom */
import { lineLayout } from '@/components/testing/testLine';
import { allDrafts } from '@/components/sync/drafts';
import { settingSheet } from '@/core';
import { act, renderHook, waitFor } from '@testing-library/react';
import { useGroundTruth } from './useGroundTruth';

const LAYOUT = lineLayout();
const SHEET = settingSheet(LAYOUT, { measureBy: 'line', from: { xM: 0, yM: 0 } });

const truth = (stepM: number | null = null) =>
  renderHook(() => useGroundTruth(LAYOUT, SHEET, 'line', { unit: 'm', stepM }, 'measured line 1'));

describe('what was measured on the ground', () => {
  beforeEach(() => localStorage.clear());

  it('is nothing until something is typed, and then what it makes of the layout', async () => {
    const { result } = truth();
    expect(result.current.ground).toEqual({ kind: 'nothing' });
    act(() => result.current.typeLeg('line', 0, '18.6'));
    // What reckons it is fetched for the first that is measured.
    await waitFor(() => expect(result.current.ground.kind).toBe('measured'));
    const { ground } = result.current;
    if (ground.kind !== 'measured') throw new Error('not measured');
    const [ash, birch] = ['ash', 'birch'].map(id => ground.items.find(item => item.id === id)!.at);
    expect(Math.hypot(birch!.xM - ash!.xM, birch!.yM - ash!.yM)).toBeCloseTo(18.6, 3);
    expect(ground.changes).toHaveLength(1);
    expect(ground.typed.legs).toEqual([{ track: 'line', leg: 0, groundM: 18.6 }]);
    act(() => result.current.forget());
    expect(result.current.ground).toEqual({ kind: 'nothing' });
  });

  it('is read in any unit, and in steps where it is known whose they are', () => {
    const steps = truth(0.9).result;
    act(() => steps.current.typeLeg('line', 0, '20 steps'));
    expect(steps.current.leg('line', 0).lengthM).toBeCloseTo(18, 9);
    const feet = truth().result;
    act(() => feet.current.typeLeg('line', 0, '60 ft'));
    expect(feet.current.leg('line', 0).lengthM).toBeCloseTo(18.288, 9);
    act(() => feet.current.typeLeg('line', 0, '20 steps'));
    expect(feet.current.ground.kind).toBe('faulty');
  });

  it('says what cannot be read, and keeps it as it was typed', () => {
    const { result } = truth();
    act(() => result.current.typeLeg('line', 0, 'eighteen'));
    expect(result.current.ground.kind).toBe('faulty');
    expect(result.current.leg('line', 0).text).toBe('eighteen');
    act(() => result.current.typeLeg('line', 0, ''));
    expect(result.current.ground).toEqual({ kind: 'nothing' });
  });

  it('comes back where the page was closed before it was kept', async () => {
    const first = truth();
    act(() => first.result.current.typeLeg('line', 0, '18.6'));
    await waitFor(() => expect(allDrafts()).toHaveLength(1));
    first.unmount();
    const again = truth();
    await waitFor(() => expect(again.result.current.leg('line', 0).text).toBe('18.6'));
    await waitFor(() => expect(again.result.current.ground.kind).toBe('measured'));
  });
});
