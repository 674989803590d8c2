import { nowMs } from '@/components/nowMs';
import { keptAtMs, useKeptAt } from '@/components/offline/useKeptAt';
import { useEffect, useRef } from 'react';
import { keepAnswer, knownAnswer } from './knownStore';

type Known<Body> = {
  box: string;
  number: number;
  /** What is known now, as the server would answer it whole. */
  body: () => Body;
  /** Called with what was known here later than the page that is shown was kept. */
  onKnown: (body: Body) => void;
};

/**
 * Keeps what the server answered last, and brings it back where a page is shown that was kept before that: a page that was kept at
 * 9:40 shows what was sent and answered at 9:50. Where nothing is kept of pages, nothing is kept here.
 */
export function useKnown<Body>({ box, number, body, onKnown }: Known<Body>): void {
  const isKept = useKeptAt() !== null;
  const latest = useRef({ body, onKnown, number });
  useEffect(() => {
    latest.current = { body, onKnown, number };
  });
  useEffect(() => {
    if (!isKept) return;
    void knownAnswer(box).then(known => {
      if (known && known.number > latest.current.number) latest.current.onKnown(known.body as Body);
    });
  }, [box, isKept]);
  useEffect(() => {
    // What an older page shows is no news; while it comes alive only the page itself says that it is one.
    if (!navigator.serviceWorker?.controller || keptAtMs() !== null) return;
    void keepAnswer(box, { number, body: latest.current.body() }, nowMs());
  }, [box, number, isKept]);
}
