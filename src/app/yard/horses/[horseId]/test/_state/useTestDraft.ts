'use client';

import { newId } from '@/components/newId';
import { useDraft } from '@/components/sync/useDraft';
import type { StrideEntryKey } from '@/core';
import { useCallback, useState } from 'react';
import { changeDraft, keptDraft, newDraft, type DraftChange, type TestColumn, type TestDraft } from './testDraft';

/** A test kept on this device at every change, until it is saved: a reload or a flat battery loses nothing. */
export function useTestDraft(horseId: string, entry: StrideEntryKey, usual: Partial<TestColumn>) {
  const [draft, setDraft] = useState<TestDraft | null>(null);
  // What the device kept is only known in the browser.
  useDraft(`stride-test ${horseId}`, draft && isBegun(draft) ? draft : null, left =>
    setDraft(current => current ?? keptDraft(left ?? olderDraft(horseId)) ?? { ...newDraft(newId(), entry), ...usual }),
  );
  const change = useCallback((step: DraftChange) => {
    const freshId = newId();
    setDraft(current => current && changeDraft(current, step, freshId));
  }, []);
  const startOver = useCallback(() => {
    setDraft(current => newDraft(newId(), current?.entry ?? entry));
  }, [entry]);
  return { draft, change, startOver };
}

const isBegun = ({ passes, others, count, undo }: TestDraft) =>
  passes.length + others.length + undo.length > 0 || count > 0;

/** What a Roan before this one kept, for all tabs together: taken over once. */
function olderDraft(horseId: string): unknown {
  const key = `roan-stride-test-${horseId}`;
  try {
    const kept: unknown = JSON.parse(localStorage.getItem(key) ?? 'null');
    localStorage.removeItem(key);
    return kept;
  } catch {
    return null;
  }
}
