'use client';

import { CommitField, type Read } from '@/components/CommitField/CommitField';
import type { PointerEvent } from 'react';
import classes from './ExactSpot.module.css';

type ExactSpotProps = { fraction: number | null; onTap: (fraction: number) => void; disabled: boolean };

const STRIP = { width: 300, height: 72, margin: 20 };
/** An eye on the ground is no finer than a twentieth of the gap. */
const FINEST = 1 / 20;

/** The ground between two poles: a tap lands where the foot did. The same can be typed. */
export function ExactSpot({ fraction, onTap, disabled }: ExactSpotProps) {
  const { width, height, margin } = STRIP;
  const xOf = (share: number) => margin + share * (width - margin * 2);
  const tapped = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const share = (((event.clientX - box.left) / box.width) * width - margin) / (width - margin * 2);
    const inGap = Math.min(1, Math.max(0, share));
    if (!disabled) onTap(Math.round(inGap / FINEST) * FINEST);
  };
  return (
    <div className={classes.exact} data-lit="">
      <svg
        viewBox={`0 0 ${width} ${height}`}
        className={classes.strip}
        onPointerUp={tapped}
        role="img"
        aria-label="The gap between two poles: tap where the foot fell"
        data-testid="exact-spot"
      >
        <line x1={xOf(0)} x2={xOf(1)} y1={height - 14} y2={height - 14} className={classes.ground} />
        {[0, 1].map(end => (
          <line key={end} x1={xOf(end)} x2={xOf(end)} y1="8" y2={height - 10} className={classes.post} />
        ))}
        <rect x={xOf(0.4)} y={height - 18} width={xOf(0.6) - xOf(0.4)} height="8" className={classes.right} />
        {fraction !== null && <circle cx={xOf(fraction)} cy={height - 14} r="9" className={classes.foot} />}
      </svg>
      <CommitField
        label="Exact share"
        size="lg"
        text={fraction === null ? '' : String(Math.round(fraction * 1000) / 1000)}
        read={readShare}
        disabled={disabled}
        onCommit={share => {
          onTap(share);
          return null;
        }}
      />
    </div>
  );
}

/** Reads 0.45, 45 % or 45%. */
function readShare(typed: string): Read<number> {
  const match = /^\s*(\d{1,3}(?:[.,]\d+)?|[.,]\d+)\s*(%?)\s*$/.exec(typed);
  const value = match ? Number(match[1]!.replace(',', '.')) / (match[2] === '%' ? 100 : 1) : Number.NaN;
  if (value >= 0 && value <= 1) return { ok: true, value };
  return { ok: false, reason: 'Type a share of the gap from 0 to 1, or from 0 to 100 %.' };
}
