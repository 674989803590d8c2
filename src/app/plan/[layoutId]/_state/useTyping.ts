import { notifications } from '@mantine/notifications';
import { exerciseLabel } from '@/core';
import type { PlanControls } from './usePlanEditor';

/** Why something typed cannot be; null once it is made. */
type Typed = Promise<string | null>;

export type Typing = {
  /** So much ground for a leg, metres. */
  distance: (trackId: string, leg: number, groundM: number) => Typed;
  /** The count that is meant for a leg; null for none. */
  asked: (trackId: string, leg: number, strides: number | null) => Typed;
  /** One more piece at the end of an exercise. */
  grow: (exerciseId: string) => Typed;
  /** So high for fences, metres. */
  height: (itemIds: readonly string[], heightM: number) => Typed;
};

const NO_SHELF = 'This cannot be reckoned without a connection: try again once there is one.';

/** What is typed into a layout. An exercise keeps it as what it asks; what comes apart for it is told. */
export function useTyping(controls: PlanControls): Typing {
  const { present, shown, change } = controls;
  const judge = () => import('./judge').catch(() => null);
  const make = (made: { ok: true; plan: typeof present.plan; apart: string[] } | { ok: false; reason: string }) => {
    if (!made.ok) return made.reason;
    const names = made.apart.map(id => exerciseLabel(shown.resolved.exercises, id));
    change(() => made.plan);
    if (names.length > 0)
      notifications.show({ message: `${names.join(', ')} came apart for it: undo puts it together again.` });
    return null;
  };
  return {
    distance: async (trackId, leg, groundM) => {
      const known = await judge();
      return known ? make(known.typeDistance(present.plan, shown.resolved, trackId, leg, groundM)) : NO_SHELF;
    },
    asked: async (trackId, leg, strides) => {
      const known = await judge();
      return known ? make(known.typeAsked(present.plan, shown.resolved, trackId, leg, strides)) : NO_SHELF;
    },
    grow: async exerciseId => {
      const known = await judge();
      return known ? make(known.oneMore(present.plan, shown.resolved, exerciseId)) : NO_SHELF;
    },
    height: async (itemIds, heightM) => {
      const known = await judge();
      if (!known) return NO_SHELF;
      change(() => known.typeHeight(present.plan, shown.resolved, itemIds, heightM));
      return null;
    },
  };
}
