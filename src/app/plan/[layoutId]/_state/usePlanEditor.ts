import { notifications } from '@mantine/notifications';
import {
  editPlan,
  layoutReckoner,
  soundPlan,
  type Caution,
  type CautionLimits,
  type LaidOut,
  type LayoutEdit,
  type LayOut,
  type Plan,
} from '@/core';
import { useCallback, useEffect, useMemo, useRef, useState } from 'react';
import type { Edited } from './autosaver';
import { planShower } from './planShower';
import { commit, redo, startHistory, undo } from './history';
import { madeByHand, shownByHand, type DragShelf } from '../_hand/hand';
import type { Hand } from '../_hand/handState';
import { liveStore, whenAsked } from '../_hand/liveShown';
import { sameParts } from '../_hand/sameParts';
import { standNumber } from '../_hand/standNumber';
import { useHandPainter } from '../_hand/useHandPainter';
import type { EditorGround, Shown } from './shown';

/**
 * The layout being edited, with undo and redo over everything, its name included. While something is dragged a preview is
 * shown beside it, in `live`; letting go makes one step of it.
 */
export function usePlanEditor(first: Edited, ground: EditorGround, made: MadeOnServer) {
  const [history, setHistory] = useState(() => startHistory(first));
  const [live] = useState(liveStore);
  const { layOut, shelf } = useShelf(made.laid);
  const [reckon] = useState(layoutReckoner);
  const showOn = useMemo(() => planShower(layOut, reckon), [layOut, reckon]);
  const { present } = history;
  /** What was reckoned beside the page, by its plan: for as long as nothing else but the plan changes. */
  const taken = useMemo(() => takenFor(ground, layOut), [ground, layOut]);
  const show = useCallback(
    (plan: Plan) => taken.get(plan, present.name) ?? showOn(plan, { ...ground, name: present.name }),
    [taken, showOn, ground, present.name],
  );
  const shown = useMemo(() => show(present.plan), [show, present.plan]);
  const cautions = useStandingCautions(shown, made);
  const painting = useHandPainter({ live, shown, ground, layOut, shelf });

  /** Makes what a hand let go of that is not made yet: whatever is done next comes after it. */
  const unmade = useRef<(() => void) | null>(null);
  const settle = useCallback(() => unmade.current?.(), []);
  const put = useCallback(
    (next: Edited) => {
      settle();
      live.set(null);
      setHistory(current => commit(current, { ...next, plan: soundPlan(next.plan) }));
    },
    [live, settle],
  );
  /** One undo step: the plan after a change of the one that stands. */
  const change = useCallback(
    (next: (plan: Plan) => Plan) => {
      settle();
      live.set(null);
      setHistory(current => {
        const changed = soundPlan(next(current.present.plan));
        return changed === current.present.plan ? current : commit(current, { ...current.present, plan: changed });
      });
    },
    [live, settle],
  );
  /** Edits of the layout as one undo step; an exercise that they touch comes apart first. */
  const edit = useCallback(
    (edits: readonly LayoutEdit[]) => change(stood => editPlan(stood, shown.resolved, edits)),
    [change, shown.resolved],
  );
  /** Shows what a hand makes of what stands, without making it. */
  const follow = useCallback(
    (hand: Hand) => {
      const made = whenAsked(() => shownByHand(hand, shown, ground.arena, show, shelf));
      live.set({ hand, stand: standNumber(shown), made });
    },
    [live, shown, show, ground.arena, shelf],
  );
  /** What a hand made, as one undo step. */
  const letGo = useCallback(
    (hand: Hand) => {
      const make = (typing: DragShelf | null) => {
        const made = madeByHand(hand, shown, ground.arena, typing);
        change(stood => made?.plan ?? stood);
      };
      // What the painter reckoned last is what the hand made: the page takes it.
      if (painting.take && live.get() !== null) {
        const base = shown;
        let isDone = false;
        const finish = (reckoned: Shown | null) => {
          if (isDone) return;
          isDone = true;
          unmade.current = null;
          if (!reckoned) return make(shelf);
          // What did not move stays what it was, so that nothing of it is drawn anew.
          const same = sameParts(base, reckoned);
          taken.put(same);
          change(() => same.plan);
        };
        settle();
        unmade.current = () => finish(null);
        return void painting.take(hand, standNumber(base)).then(finish);
      }
      // A hand may be quicker than the shelf comes.
      if ((hand.kind !== 'gap' && hand.kind !== 'figure') || shelf) return make(shelf);
      live.set(null);
      void import('./judge')
        .then(({ typeDistance, dragFigure }) => make({ typeDistance, dragFigure }))
        .catch(() => undefined);
    },
    [change, live, shown, ground.arena, shelf, painting, taken, settle],
  );
  const step = useCallback(
    (way: typeof undo) => {
      settle();
      live.set(null);
      setHistory(current => way(current));
    },
    [live, settle],
  );

  return useMemo(
    () => ({
      present,
      shown,
      live,
      painting,
      cautions,
      limits: made.limits,
      put,
      change,
      edit,
      follow,
      letGo,
      undo: () => step(undo),
      redo: () => step(redo),
      canUndo: history.past.length > 0,
      canRedo: history.future.length > 0,
    }),
    [present, shown, live, painting, cautions, made.limits, put, change, edit, follow, letGo, step, history],
  );
}

/** Holds what was made beside the page on a ground. A layout has no name there: it is given the one it has. */
function takenFor(_: EditorGround, __: LayOut) {
  const made = new WeakMap<Plan, Shown>();
  return {
    put: (shown: Shown) => void made.set(shown.plan, shown),
    get: (plan: Plan, name: string): Shown | undefined => {
      const shown = made.get(plan);
      return shown && { ...shown, resolved: { ...shown.resolved, layout: { ...shown.resolved.layout, name } } };
    },
  };
}

export type PlanControls = ReturnType<typeof usePlanEditor>;

/** What the server made of the layout for the page to open with. */
export type MadeOnServer = {
  laid: Record<string, LaidOut>;
  cautions: Caution[];
  /** What the yard allows. */
  limits: CautionLimits;
};

/** Lays out exercises: at first as the server did, and by the shelf once it is there; then their distances can be dragged too. */
function useShelf(laid: Record<string, LaidOut>): { layOut: LayOut; shelf: DragShelf | null } {
  const [opened, setOpened] = useState<{ layOut: LayOut; shelf: DragShelf } | null>(null);
  useEffect(() => {
    let gone = false;
    import('./judge')
      .then(({ layOutPlaced, typeDistance, dragFigure }) => {
        if (!gone) setOpened({ layOut: layOutPlaced, shelf: { typeDistance, dragFigure } });
      })
      // Without it exercises stay as the server laid them out.
      .catch(() => undefined);
    return () => {
      gone = true;
    };
  }, []);
  return useMemo(() => opened ?? { layOut: placed => laid[placed.id] ?? null, shelf: null }, [opened, laid]);
}

const NOT_LOOKED_AT =
  'Cautions cannot be looked for without a connection: those that are shown are of before. Load this page again later.';

/** Cautions of what stands: what is on its way in a drag is judged when it is let go. */
function useStandingCautions(shown: Shown, { cautions: first, limits }: MadeOnServer): Caution[] {
  const [cautions, setCautions] = useState(first);
  useEffect(() => {
    let gone = false;
    import('./judge')
      .then(({ planCautions }) => {
        if (!gone) setCautions(planCautions(shown.resolved, shown.tracks, limits));
      })
      // Cautions of what stood before are none of what stands now: that is said.
      .catch(() => notifications.show({ id: 'cautions', autoClose: false, message: NOT_LOOKED_AT }));
    return () => {
      gone = true;
    };
  }, [shown, limits]);
  return cautions;
}
