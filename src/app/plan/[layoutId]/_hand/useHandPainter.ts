import { useLengths } from '@/components/Lengths/LengthsProvider';
import type { LayOut } from '@/core';
import { useEffect, useLayoutEffect, useMemo, useState } from 'react';
import type { EditorGround, Shown } from '../_state/shown';
import { facesOf } from './fontFaces';
import type { DragShelf } from './hand';
import type { Hand } from './handState';
import { handPainter } from './handPainter';
import type { LiveStore } from './liveShown';
import { standNumber } from './standNumber';
import type { FromPainter, Said, Told, ToPainter } from './told';

/** Where hands are painted: told everything, in the page or beside it. */
export type Painting = {
  tell: (told: Told) => void;
  /** What canvases have to be before they are handed to it. */
  place: 'page' | 'worker';
  /** What a hand made that lets go, where it was reckoned beside the page; null where it made nothing, or is not said in time. */
  take?: (hand: Hand, stand: number) => Promise<Shown | null>;
};

type PaintedFor = { live: LiveStore; shown: Shown; ground: EditorGround; layOut: LayOut; shelf: DragShelf | null };

/**
 * Paints what hands make of a layout: beside the page once that is there, so that the page has nothing to do in a drag but to
 * say where the hand is; until then, and where a browser cannot, in the page.
 */
export function useHandPainter({ live, shown, ground, layOut, shelf }: PaintedFor): Painting {
  const { unit } = useLengths();
  const beside = usePainterBeside(live);
  const inPage = useMemo<Painting>(() => {
    const blank = () => (hasOffscreen() ? new OffscreenCanvas(1, 1) : document.createElement('canvas'));
    const say = (said: Said) => void (said.kind === 'moved' && live.setMoved(said.names));
    return { place: 'page', tell: handPainter({ layOut, shelf, blank, later: work => queueMicrotask(work), say }) };
  }, [layOut, shelf, live]);
  const painting = beside ?? inPage;
  const { tell } = painting;
  useLayoutEffect(() => tell({ kind: 'ground', ground, unit }), [tell, ground, unit]);
  useLayoutEffect(() => tell({ kind: 'stand', number: standNumber(shown), plan: shown.plan }), [tell, shown]);
  useLayoutEffect(() => {
    let frame = 0;
    let told = live.get();
    const stop = live.subscribe(() => {
      if (live.get() === told) return;
      told = live.get();
      const letGo = () => {
        frame = 0;
        tell({ kind: 'hand', hand: null, stand: 0 });
      };
      if (frame !== 0) {
        cancelAnimationFrame(frame);
        letGo();
      }
      if (told) tell({ kind: 'hand', hand: told.hand, stand: told.stand });
      // What was made is shown by the page in its next frame; until then its picture stays.
      else frame = requestAnimationFrame(letGo);
    });
    return () => {
      stop();
      cancelAnimationFrame(frame);
    };
  }, [tell, live]);
  return painting;
}

let tickets = 0;
/** What the painter does not say within this the page makes itself, milliseconds. */
const TAKEN_WITHIN_MS = 250;

/** A painter in a worker, once it is ready; null until then, and where there can be none. */
function usePainterBeside(live: LiveStore): Painting | null {
  const [beside, setBeside] = useState<Painting | null>(null);
  useEffect(() => {
    if (!hasOffscreen()) return;
    let worker: Worker | null = null;
    const end = () => {
      worker?.terminate();
      worker = null;
      setBeside(null);
    };
    const stopWaiting = whenIdle(() => {
      worker = startPainter(live, painting => worker && setBeside(painting), end);
    });
    return () => {
      stopWaiting();
      end();
    };
  }, [live]);
  return beside;
}

/** Whether a canvas can be drawn on that is not in the page. */
const hasOffscreen = () => 'OffscreenCanvas' in window && 'transferControlToOffscreen' in HTMLCanvasElement.prototype;

function startPainter(live: LiveStore, onReady: (painting: Painting) => void, onFault: () => void): Worker {
  const worker = new Worker(new URL('./painter.worker.ts', import.meta.url), { type: 'module' });
  const send = (told: ToPainter) => worker.postMessage(told, transferred(told));
  const taking = new Map<number, (shown: Shown | null) => void>();
  const take = (hand: Hand, stand: number) =>
    new Promise<Shown | null>(resolve => {
      const ticket = (tickets += 1);
      const answer = (shown: Shown | null) => {
        taking.delete(ticket);
        resolve(shown);
      };
      taking.set(ticket, answer);
      setTimeout(() => answer(null), TAKEN_WITHIN_MS);
      send({ kind: 'let-go', hand, stand, ticket });
    });
  worker.onmessage = ({ data }: MessageEvent<FromPainter>) => {
    if (data.kind === 'moved' && live.get()?.stand === data.stand) live.setMoved(data.names);
    if (data.kind === 'made') taking.get(data.ticket)?.(data.shown);
    if (data.kind === 'ready') whenNothingIsHeld(live, () => onReady({ place: 'worker', tell: send, take }));
  };
  worker.onerror = onFault;
  send({ kind: 'faces', faces: facesOf(getComputedStyle(document.body).fontFamily) });
  return worker;
}

function transferred(told: ToPainter): Transferable[] {
  return told.kind === 'canvas' && told.canvas instanceof OffscreenCanvas ? [told.canvas] : [];
}

/** Nobody changes painters under a hand. */
function whenNothingIsHeld(live: LiveStore, work: () => void): void {
  if (live.get() === null) return work();
  const stop = live.subscribe(() => {
    if (live.get() !== null) return;
    stop();
    work();
  });
}

/** How long a page may have more to do than this, milliseconds. */
const AT_LAST_MS = 3000;

/** Runs work when the page has nothing else to do. */
function whenIdle(work: () => void): () => void {
  if (typeof requestIdleCallback === 'undefined') {
    const timer = setTimeout(work, AT_LAST_MS);
    return () => clearTimeout(timer);
  }
  const idle = requestIdleCallback(work, { timeout: AT_LAST_MS });
  return () => cancelIdleCallback(idle);
}
