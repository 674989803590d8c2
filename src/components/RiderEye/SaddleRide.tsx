'use client';

import { EYE_OVER_WITHERS_M, gaitSpeedMPerMin, USUAL_HEIGHT_M, type Look, type RiddenTrack, type Scene } from '@/core';
import { useEffect, useRef, useState } from 'react';
import { SaddlePicture } from './SaddlePicture';
import type { EyeNames } from './useEye';
import classes from './SaddleRide.module.css';

export type SaddleRideProps = {
  scene: Pick<Scene, 'arena' | 'items'>;
  ridden: RiddenTrack;
  names: EyeNames;
  /** The height of the horse; null where nobody’s is known. */
  heightM: number | null;
};

/** One sees the first fence from so far before it, metres. */
const BEFORE_M = 12;

/** A course ridden through from the saddle, by a slider or at the speed of its gait. */
export default function SaddleRide({ scene, ridden, names, heightM }: SaddleRideProps) {
  const [alongM, setAlongM] = useState(-BEFORE_M);
  const [look, setLook] = useState<Look>('next');
  const [playing, setPlaying] = useState(false);
  const canvas = useRef<HTMLCanvasElement>(null);
  const { lengthM } = ridden.reckoned;
  const perS = gaitSpeedMPerMin(ridden.track.gait) / 60;
  useEffect(() => {
    if (!playing) return;
    let lastMs: number | null = null;
    let frame = requestAnimationFrame(function step(nowMs) {
      const byM = lastMs === null ? 0 : ((nowMs - lastMs) / 1000) * perS;
      lastMs = nowMs;
      setAlongM(before => Math.min(lengthM, before + byM));
      frame = requestAnimationFrame(step);
    });
    return () => cancelAnimationFrame(frame);
  }, [playing, perS, lengthM]);
  const isOver = alongM >= lengthM;
  const go = () => {
    if (isOver) setAlongM(-BEFORE_M);
    setPlaying(before => isOver || !before);
  };
  const eyeM = (heightM ?? USUAL_HEIGHT_M) + EYE_OVER_WITHERS_M;
  return (
    <div className={classes.ride}>
      <SaddlePicture {...{ scene, ridden, names, alongM, eyeM, look, canvas }} onLook={setLook}>
        <button type="button" className={classes.key} onClick={go}>
          {playing && !isOver ? 'Wait' : isOver ? 'Again' : 'Go'}
        </button>
      </SaddlePicture>
      <input
        type="range"
        min={-BEFORE_M}
        max={lengthM}
        step={0.1}
        value={alongM}
        aria-label="Along what is ridden"
        onChange={event => {
          setPlaying(false);
          setAlongM(Number(event.currentTarget.value));
        }}
      />
    </div>
  );
}
