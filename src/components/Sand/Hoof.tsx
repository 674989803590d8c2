import type { Pose } from '@/core';
import { memo } from 'react';
import classes from './Hoof.module.css';
import { paperFrame } from './paperFrame';
import type { SandView } from './sandView';

type HoofProps = { pose: Pose; view: SandView; sizeM: number; kind: 'landing' | 'stride' | 'take-off' };

/** A hoof print, toe ahead; landing and take-off are filled, so that a leg can be counted at a glance. */
export const Hoof = memo(function Hoof({ pose, view, sizeM, kind }: HoofProps) {
  const { at } = paperFrame(view, pose);
  const place = (x: number, y: number) => at(x * sizeM, y * sizeM);
  const d = `M${place(-0.5, -0.42)}Q${place(0.5, -0.62)} ${place(0.5, 0)}Q${place(0.5, 0.62)} ${place(-0.5, 0.42)}`;
  return <path d={d} strokeWidth={sizeM * 0.2} className={classes.hoof} data-hoof={kind} />;
});
