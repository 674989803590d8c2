import { StepCounter } from '@/core';
import { useCallback, useEffect, useRef, useState } from 'react';
import { startMotion } from './motionSource';

/** Counts steps by taps and, while it listens, by the device's motion; a half step is one more tap. */
export function useCountedSteps() {
  const [halves, setHalves] = useState(0);
  const [listening, setListening] = useState(false);
  const [problem, setProblem] = useState<string | null>(null);
  const stopping = useRef<(() => void) | null>(null);
  const stop = useCallback(() => {
    stopping.current?.();
    stopping.current = null;
    setListening(false);
  }, []);
  useEffect(() => stop, [stop]);
  const listen = async () => {
    setProblem(null);
    const counter = new StepCounter();
    const motion = await startMotion(
      sample => counter.take(sample) && setHalves(before => before + 2),
      reason => {
        stop();
        setProblem(reason);
      },
    );
    if (!motion.ok) return setProblem(motion.reason);
    stopping.current = motion.stop;
    setListening(true);
  };
  return {
    steps: halves / 2,
    listening,
    problem,
    add: (more: number) => setHalves(before => Math.max(0, before + more * 2)),
    listen,
    stop,
    reset: () => setHalves(0),
  };
}
