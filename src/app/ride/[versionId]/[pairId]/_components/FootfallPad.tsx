'use client';

import { CommitField, type Read } from '@/components/CommitField/CommitField';
import { FOOTFALL_PLACES, passFootfalls } from '@/core';
import { useState, type PointerEvent } from 'react';
import type { Ride } from '../useRide';
import { fractionShort } from '@/core';
import classes from './FootfallPad.module.css';

type FootfallPadProps = { ride: Ride; gaps: number };

/** Where the foot fell: in the row as a whole, or gap by gap, then a key, or the very spot between the two poles. */
export function FootfallPad({ ride, gaps }: FootfallPadProps) {
  const [gap, setGap] = useState<number | null>(null);
  if (gaps === 0) return null;
  const noted = new Map(ride.open ? passFootfalls(ride.open).map(({ gap: g, fraction }) => [g, fraction]) : []);
  const tap = (fraction: number) => {
    ride.mark({ kind: 'footfall', place: gap, fraction });
    if (gap !== null && gap < gaps) setGap(gap + 1);
  };
  const choices: (number | null)[] = [null, ...Array.from({ length: gaps }, (_, index) => index + 1)];
  return (
    <section aria-label="Where the foot fell">
      <h2>Where the foot fell</h2>
      <div role="radiogroup" aria-label="Which gap" className={classes.gaps}>
        {choices.map(choice => (
          <button
            key={choice ?? 'row'}
            type="button"
            role="radio"
            aria-checked={choice === gap}
            className={classes.gap}
            onClick={() => setGap(choice)}
          >
            {choice === null ? 'Whole row' : `${choice}–${choice + 1}`}
            <small>{noted.has(choice) ? fractionShort(noted.get(choice)!) : '·'}</small>
          </button>
        ))}
      </div>
      <div className={classes.keys}>
        <button type="button" className={classes.key} disabled={!ride.ready} onClick={() => tap(FOOTFALL_PLACES.third)}>
          A third <small>short</small>
        </button>
        <button
          type="button"
          className={classes.key}
          disabled={!ride.ready}
          onClick={() => tap(FOOTFALL_PLACES.middle)}
        >
          Middle <small>right</small>
        </button>
        <button
          type="button"
          className={classes.key}
          disabled={!ride.ready}
          onClick={() => tap(FOOTFALL_PLACES.threeQuarters)}
        >
          Three quarters <small>long</small>
        </button>
      </div>
      <ExactSpot fraction={noted.get(gap) ?? null} onTap={tap} disabled={!ride.ready} />
    </section>
  );
}

type ExactSpotProps = { fraction: number | null; onTap: (fraction: number) => void; disabled: boolean };

const STRIP = { width: 300, height: 72, margin: 20 };
/** An eye on the ground is no finer than a twentieth of the gap. */
const FINEST = 1 / 20;

/** The ground between two poles: a tap lands where the foot did. The same can be typed. */
function ExactSpot({ fraction, onTap, disabled }: ExactSpotProps) {
  const { width, height, margin } = STRIP;
  const xOf = (share: number) => margin + share * (width - margin * 2);
  const tapped = (event: PointerEvent<SVGSVGElement>) => {
    const box = event.currentTarget.getBoundingClientRect();
    const share = (((event.clientX - box.left) / box.width) * width - margin) / (width - margin * 2);
    const inGap = Math.min(1, Math.max(0, share));
    if (!disabled) onTap(Math.round(inGap / FINEST) * FINEST);
  };
  return (
    <div className={classes.exact}>
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
