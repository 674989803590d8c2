import { useLetters } from './useLetters';

type FootLetters = { onDone: () => void; onUndo: () => void; onNextPair?: () => void; onRein?: () => void };

/** The foot with a keyboard: enter ends the pass, z undoes, n is the next pair, c changes the rein. */
export function useFootLetters(listens: boolean, { onDone, onUndo, onNextPair, onRein }: FootLetters): void {
  useLetters(listens, (pressed, isOnKey) => {
    // Enter presses the key that has the focus, as everywhere.
    const act = { Enter: isOnKey ? undefined : onDone, z: onUndo, n: onNextPair, c: onRein }[pressed];
    act?.();
    return act !== undefined;
  });
}
