import type { ExerciseParams } from './exercise';
import { GRID_ELEMENTS, type GridElement } from './recipes/grid';

/** What an element of a grid is, and how many strides on it stands. */
export const GRID_WORDS: Record<GridElement, string> = {
  place: 'placing pole',
  cross: 'cross-rail',
  'bounce cross': 'bounce to a cross-rail',
  'one vertical': 'one stride to a vertical',
  'one oxer': 'one stride to an oxer',
  'two vertical': 'two strides to a vertical',
  'two oxer': 'two strides to an oxer',
  half: 'pole halfway to the next',
  land: 'landing pole',
};

/** An element in words; what is none, as it is. */
export function gridWords(element: string): string {
  return GRID_ELEMENTS.some(one => one === element) ? GRID_WORDS[element as GridElement] : element;
}

const isFence = (element: string) => element !== 'place' && element !== 'half' && element !== 'land';

type Lists = { elements: readonly string[]; gapsM: readonly number[]; heightsM: readonly number[] };

function listsOf({ elements, gapsM, heightsM }: ExerciseParams): Lists {
  const numbers = (list: unknown) => (Array.isArray(list) ? (list as number[]) : []);
  return {
    elements: Array.isArray(elements) ? (elements as string[]) : [],
    gapsM: numbers(gapsM),
    heightsM: numbers(heightsM),
  };
}

const spliced = (list: readonly number[], at: number, remove: number, ...add: number[]): number[] => {
  const whole = Array.from({ length: Math.max(list.length, at) }, (_, index) => list[index] ?? 0);
  whole.splice(at, remove, ...add);
  return whole;
};

/**
 * A grid with one more element at a place in it, 0 to as many as there are. What was typed for the others stays theirs.
 */
export function withElement(params: ExerciseParams, at: number, element: GridElement): ExerciseParams {
  const { elements, gapsM, heightsM } = listsOf(params);
  const fences = elements.slice(0, at).filter(isFence).length;
  return {
    ...params,
    elements: [...elements.slice(0, at), element, ...elements.slice(at)],
    gapsM: spliced(gapsM, Math.max(0, at - 1), 0, 0),
    heightsM: isFence(element) ? spliced(heightsM, fences, 0, 0) : heightsM,
  };
}

/** A grid without one of its elements. */
export function withoutElement(params: ExerciseParams, at: number): ExerciseParams {
  const { elements, gapsM, heightsM } = listsOf(params);
  const fences = elements.slice(0, at).filter(isFence).length;
  return {
    ...params,
    elements: elements.filter((_, index) => index !== at),
    gapsM: spliced(gapsM, Math.max(0, at - 1), 1),
    heightsM: isFence(elements[at] ?? '') ? spliced(heightsM, fences, 1) : heightsM,
  };
}
