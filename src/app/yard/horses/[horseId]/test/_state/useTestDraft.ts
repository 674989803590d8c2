'use client';

import { newId } from '@/components/newId';
import type { StrideEntryKey } from '@/core';
import { useCallback, useEffect, useState } from 'react';
import { changeDraft, keptDraft, newDraft, type DraftChange, type TestDraft } from './testDraft';

const keyOf = (horseId: string) => `roan-stride-test-${horseId}`;

/** A test kept on this device at every change, until it is saved: a reload or a flat battery loses nothing. */
export function useTestDraft(horseId: string, entry: StrideEntryKey) {
  const [draft, setDraft] = useState<TestDraft | null>(null);
  useEffect(() => {
    // What the device kept is only known in the browser.
    // eslint-disable-next-line react-hooks/set-state-in-effect
    setDraft(readKept(horseId) ?? newDraft(newId(), entry));
  }, [horseId, entry]);
  useEffect(() => {
    if (draft) keep(horseId, draft);
  }, [horseId, draft]);
  const change = useCallback((step: DraftChange) => setDraft(current => current && changeDraft(current, step)), []);
  const startOver = useCallback(() => {
    setDraft(current => newDraft(newId(), current?.entry ?? entry));
  }, [entry]);
  return { draft, change, startOver };
}

function readKept(horseId: string): TestDraft | null {
  try {
    return keptDraft(JSON.parse(localStorage.getItem(keyOf(horseId)) ?? 'null'));
  } catch {
    return null;
  }
}

function keep(horseId: string, draft: TestDraft): void {
  try {
    localStorage.setItem(keyOf(horseId), JSON.stringify(draft));
  } catch {
    // A device that keeps nothing still counts; only a reload would lose the test.
  }
}
