import type { PadKey } from '../../_components/pad/keysOfPad';
import { useLetters } from './useLetters';

type Letters = {
  keys: readonly PadKey[];
  onKey: (key: PadKey) => void;
  onStride: () => void;
  onStep: (by: 1 | -1) => void;
  onNumber: (number: number) => void;
};

/** The pad with a keyboard: space for a stride, arrows and numbers for where one is, a letter for each key. */
export function usePadLetters(listens: boolean, { keys, ...on }: Letters): void {
  useLetters(listens, (pressed, isOnKey) => {
    // The space bar presses the key that has the focus, as everywhere.
    if (pressed === ' ' && isOnKey) return false;
    if (pressed === ' ') on.onStride();
    else if (pressed === 'ArrowRight') on.onStep(1);
    else if (pressed === 'ArrowLeft') on.onStep(-1);
    else if (/^[1-9]$/.test(pressed)) on.onNumber(Number(pressed));
    else {
      const key = keys.find(({ letter }) => letter === pressed);
      if (!key) return false;
      on.onKey(key);
    }
    return true;
  });
}
