'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { SaddleRideProps } from './SaddleRide';
import classes from './SaddleRide.module.css';

const SaddleRide = dynamic(() => import('./SaddleRide'), { ssr: false });

/** A course from the saddle, for whoever asks for it: nothing of it is loaded before. */
export function SaddleFold(props: SaddleRideProps) {
  const [isOpen, setIsOpen] = useState(false);
  if (isOpen) return <SaddleRide {...props} />;
  return (
    <div className="roan-no-print">
      <button type="button" className={classes.key} onClick={() => setIsOpen(true)}>
        Ride it through from the saddle
      </button>
    </div>
  );
}
