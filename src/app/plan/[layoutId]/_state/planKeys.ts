/**
 * Every key of the plan, in one place: the page of keys lists them, and for each single letter of them the editor has to say what it
 * does, and for no other.
 */
export const PLAN_KEYS = [
  {
    title: 'Finding one’s way',
    keys: [
      { keys: 'Tab, Shift Tab', does: 'from thing to thing on the sand, and on to the ribbon and the reading' },
      { keys: 'Enter or Space', does: 'selects what is in focus; with Shift, together with what is selected already' },
      { keys: 'Escape', does: 'lets go of the selection, or ends the track that is laid' },
      { keys: 'a', does: 'selects everything on the sand' },
      { keys: 'i', does: 'closer in' },
      { keys: 'o', does: 'further out' },
      { keys: 'w', does: 'the whole sand' },
      { keys: 'Ctrl with an arrow', does: 'pushes the sand about' },
    ],
  },
  {
    title: 'Moving things',
    keys: [
      { keys: 'Arrows', does: 'move what is selected by 25 cm; with Shift by 1 m, with Alt by 1 cm' },
      { keys: 'comma, full stop', does: 'turn it left or right by 5°; with Alt by 1°' },
      { keys: 'm', does: 'the other rein: mirrors it in the centre line' },
      { keys: 'c', does: 'a copy beside it' },
      { keys: 'e', does: 'spaces it evenly' },
      { keys: 'k', does: 'locks it where it is, or lets it go' },
      { keys: 'Delete or Backspace', does: 'takes it off the sand' },
      { keys: 'Ctrl z, Ctrl y', does: 'undo and redo, without end' },
    ],
  },
  {
    title: 'Tracks and reading',
    keys: [
      { keys: 'r', does: 'adds a track: each item chosen next is added to it' },
      {
        keys: 'Enter, Shift Enter',
        does: 'while a track is laid: over the item in focus from its front, or from behind',
      },
      { keys: 'Backspace', does: 'while a track is laid: takes its last item away' },
      { keys: 'h', does: 'the next horse of the group shows its strides' },
      { keys: 'Arrows on a post of the ribbon', does: 'slide its fence along the track by 10 cm; Shift 1 m, Alt 1 cm' },
      { keys: 'p', does: 'walks the track, or waits' },
      { keys: 'f', does: 'the track from the saddle, and away again' },
    ],
  },
  {
    title: 'Opening',
    keys: [
      { keys: 's', does: 'the shelf of exercises' },
      { keys: 'l', does: 'what can be added by hand' },
      { keys: 'v', does: 'the call sheet' },
    ],
  },
] as const;

type Single<Keys extends string> = Keys extends `${infer First}${infer Rest}`
  ? Rest extends ''
    ? First
    : never
  : never;

/** The letters that do something by themselves. */
export type PlanLetter = Single<(typeof PLAN_KEYS)[number]['keys'][number]['keys']>;

export const NUDGE_M = 0.25;
export const BIG_NUDGE_M = 1;
export const FINE_NUDGE_M = 0.01;

/** How far a key moves things. */
export function nudgeM(event: { shiftKey: boolean; altKey: boolean }): number {
  if (event.shiftKey) return BIG_NUDGE_M;
  return event.altKey ? FINE_NUDGE_M : NUDGE_M;
}

const ARROWS: Record<string, { x: number; y: number }> = {
  ArrowLeft: { x: -1, y: 0 },
  ArrowRight: { x: 1, y: 0 },
  ArrowUp: { x: 0, y: -1 },
  ArrowDown: { x: 0, y: 1 },
};

/** The way an arrow key points on the page, or null for another key. */
export function arrowWay(key: string): { x: number; y: number } | null {
  return ARROWS[key] ?? null;
}
