import { useEffect, useRef, useState } from 'react';

/** Films of phones mostly have so many pictures a second. */
export const USUAL_RATE = 30;

/** A picture out of a film is at most so wide, dots: enough to see a leg. */
const STILL_WIDE = 960;

const BEHIND_ANY_END_S = 1e7;

/** A film that is looked at: where it stands, how long it is, and a way to go about in it. */
export function useFilm(knownS: number | null, onLength?: (lengthS: number) => void) {
  const video = useRef<HTMLVideoElement>(null);
  const [atS, setAtS] = useState(0);
  const [seenS, setSeenS] = useState<number | null>(null);
  /** Whether it is sent to its end, to find out how long it is. */
  const toItsEnd = useRef(false);
  const go = (toS: number) => {
    const film = video.current;
    if (!film) return;
    const endS = Number.isFinite(film.duration) ? film.duration : toS;
    film.currentTime = Math.max(0, Math.min(endS, toS));
    setAtS(film.currentTime);
  };
  /** By so many pictures, on or back: it stands still then. */
  const step = (pictures: number, rate: number) => {
    video.current?.pause();
    go((video.current?.currentTime ?? 0) + pictures / (rate > 0 ? rate : USUAL_RATE));
  };
  /** How long it is, as soon as the player knows. What a browser recorded does not say so before its end was seen. */
  const learnLength = () => {
    const lengthS = video.current?.duration ?? NaN;
    if (lengthS === Infinity && !toItsEnd.current) {
      toItsEnd.current = true;
      video.current!.currentTime = BEHIND_ANY_END_S;
    }
    if (!(lengthS > 0 && lengthS < Infinity)) return;
    setSeenS(lengthS);
    if (knownS === null) onLength?.(lengthS);
    if (toItsEnd.current) go(0);
    toItsEnd.current = false;
  };
  // What the player learnt before the page was alive is asked for as it comes alive.
  useEffect(learnLength, []); // eslint-disable-line react-hooks/exhaustive-deps
  return {
    ...{ video, atS, go, step },
    /** How long it is, seconds; null until somebody knows. */
    lengthS: knownS ?? seenS,
    nowS: () => video.current?.currentTime ?? 0,
    player: {
      onTimeUpdate: () => setAtS(video.current?.currentTime ?? 0),
      onLoadedMetadata: learnLength,
      onDurationChange: learnLength,
    },
    /** What is seen now, as a picture; null where the browser does not give it. */
    still: () => stillOf(video.current),
  };
}

async function stillOf(film: HTMLVideoElement | null): Promise<Blob | null> {
  if (!film || film.videoWidth === 0) return null;
  const scale = Math.min(1, STILL_WIDE / film.videoWidth);
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(film.videoWidth * scale);
  canvas.height = Math.round(film.videoHeight * scale);
  canvas.getContext('2d')?.drawImage(film, 0, 0, canvas.width, canvas.height);
  return new Promise(resolve => canvas.toBlob(resolve, 'image/jpeg', 0.85));
}
