import {
  editPlan,
  layoutReckoner,
  planResolver,
  soundPlan,
  type Caution,
  type LaidOut,
  type LayoutEdit,
  type LayOut,
  type Plan,
  type PlanGround,
  type ReckonedTrack,
  type ResolvedPlan,
} from '@/core';
import { useCallback, useEffect, useMemo, useState } from 'react';
import type { Edited } from './autosaver';
import { commit, redo, startHistory, undo } from './history';

export type EditorGround = Omit<PlanGround, 'name'>;

/** A layout as it stands on the screen: what it comes to, and every track of it reckoned. */
export type Shown = { plan: Plan; resolved: ResolvedPlan; tracks: ReckonedTrack[] };

/**
 * The layout being edited, with undo and redo over everything, its name included. While something is dragged a preview
 * stands in its place; letting go makes one step of it.
 */
export function usePlanEditor(first: Edited, ground: EditorGround, made: MadeOnServer) {
  const [history, setHistory] = useState(() => startHistory(first));
  const [preview, setPreview] = useState<Plan | null>(null);
  const layOut = useLayOut(made.laid);
  const resolve = useMemo(() => planResolver(layOut), [layOut]);
  const [reckon] = useState(layoutReckoner);
  const present = history.present;
  const plan = preview ?? present.plan;
  const shown = useMemo<Shown>(() => {
    const resolved = resolve(plan, { ...ground, name: present.name });
    return { plan, resolved, tracks: reckon(resolved.layout) };
  }, [resolve, reckon, plan, ground, present.name]);
  const [before, setBefore] = useState(shown);
  if (preview === null && before !== shown) setBefore(shown);
  /** What stood before what is dragged was taken up; the same as `shown` while nothing is. */
  const standing = preview === null ? shown : before;
  const cautions = useStandingCautions(shown, preview !== null, made.cautions);

  const put = useCallback((next: Edited) => {
    setPreview(null);
    setHistory(current => commit(current, { ...next, plan: soundPlan(next.plan) }));
  }, []);
  /** One undo step: the plan after a change of the one that stands. */
  const change = useCallback((next: (plan: Plan) => Plan) => {
    setPreview(null);
    setHistory(current => {
      const changed = soundPlan(next(current.present.plan));
      return changed === current.present.plan ? current : commit(current, { ...current.present, plan: changed });
    });
  }, []);
  /** Edits of the layout as one undo step; an exercise that they touch comes apart first. */
  const edit = useCallback(
    (edits: readonly LayoutEdit[]) => change(stood => editPlan(stood, standing.resolved, edits)),
    [change, standing.resolved],
  );
  /** Shows edits of a layout without making them: what a drag shows on its way. */
  const previewEdit = useCallback(
    (base: Shown, edits: readonly LayoutEdit[]) => setPreview(soundPlan(editPlan(base.plan, base.resolved, edits))),
    [],
  );
  const step = useCallback((way: typeof undo) => {
    setPreview(null);
    setHistory(current => way(current));
  }, []);

  return useMemo(
    () => ({
      present,
      shown,
      standing,
      cautions,
      isPreview: preview !== null,
      put,
      change,
      edit,
      preview: setPreview,
      previewEdit,
      undo: () => step(undo),
      redo: () => step(redo),
      canUndo: history.past.length > 0,
      canRedo: history.future.length > 0,
    }),
    [present, shown, standing, cautions, preview, put, change, edit, previewEdit, step, history],
  );
}

export type PlanControls = ReturnType<typeof usePlanEditor>;

/** What the server made of the layout for the page to open with. */
export type MadeOnServer = { laid: Record<string, LaidOut>; cautions: Caution[] };

/** Lays out exercises: at first as the server did, and by the shelf once it is there. */
function useLayOut(laid: Record<string, LaidOut>): LayOut {
  const [fromShelf, setFromShelf] = useState<LayOut | null>(null);
  useEffect(() => {
    let gone = false;
    void import('./judge').then(({ layOutPlaced }) => {
      if (!gone) setFromShelf(() => layOutPlaced);
    });
    return () => {
      gone = true;
    };
  }, []);
  return useMemo<LayOut>(() => {
    if (fromShelf) return fromShelf;
    return placed => laid[placed.id] ?? null;
  }, [fromShelf, laid]);
}

/** Cautions of what stands: while something is dragged, those of before it was taken up stay. */
function useStandingCautions(shown: Shown, isPreview: boolean, first: Caution[]): Caution[] {
  const [cautions, setCautions] = useState(first);
  useEffect(() => {
    if (isPreview) return;
    let gone = false;
    void import('./judge').then(({ layoutCautions }) => {
      if (!gone) setCautions(layoutCautions(shown.resolved.layout, shown.tracks));
    });
    return () => {
      gone = true;
    };
  }, [shown, isPreview]);
  return cautions;
}
