/** What is looked at: things on the sand, or a leg of a track. */
export type Selection = { ids: string[]; leg: LegPlace | null };

export type LegPlace = { track: string; leg: number };

/** What is pointed at: items, a leg, or figures of the session that is looked at, by their places in it. */
export type Pointed = { items: readonly string[]; leg: LegPlace | null; figures?: readonly number[] };

export const NOTHING_SELECTED: Selection = { ids: [], leg: null };

/** One thing alone, or with what is selected already; a second time with the others leaves it out again. */
export function selectThing(selection: Selection, id: string, together: boolean): Selection {
  if (!together) return { ids: [id], leg: null };
  const { ids } = selection;
  return { ids: ids.includes(id) ? ids.filter(other => other !== id) : [...ids, id], leg: null };
}

/** What of a selection is still there. */
export function standing(selection: Selection, isThere: (id: string) => boolean): Selection {
  const ids = selection.ids.filter(isThere);
  return ids.length === selection.ids.length ? selection : { ...selection, ids };
}
