import { facingFromHeading, type Item, type PointM } from '@/core';

/** A tap on a piece of a setting sheet: it stands, or it does not. */
export type SettingTick = { piece: string; place: string; ticked: boolean; tappedAtMs: number };

/** Ticks of a layout: all of them where `afresh`, else what changed since the number that was asked after. */
export type TicksAnswer = { number: number; afresh: boolean; ticks: SettingTick[] };

export const MOST_TICKS = 500;
export const MOST_LETTERS = { piece: 90, place: 120 };

/**
 * What a page kept of ticks on its own device; nothing where it is not that. The server parses what it is sent with care
 * (`settingTicksSent.ts`): its parser is a tenth of this page, which is opened on a phone in a field.
 */
export function keptTicks(kept: unknown): SettingTick[] {
  return Array.isArray(kept) && kept.length <= MOST_TICKS && kept.every(isTick) ? kept : [];
}

function isTick(value: unknown): value is SettingTick {
  if (typeof value !== 'object' || value === null) return false;
  const { piece, place, ticked, tappedAtMs, ...others } = value as Record<string, unknown>;
  return (
    Object.keys(others).length === 0 &&
    typeof ticked === 'boolean' &&
    typeof piece === 'string' &&
    piece !== '' &&
    piece.length <= MOST_LETTERS.piece &&
    typeof place === 'string' &&
    place.length <= MOST_LETTERS.place &&
    typeof tappedAtMs === 'number' &&
    Number.isInteger(tappedAtMs) &&
    tappedAtMs >= 0 &&
    tappedAtMs <= LATEST_MS
  );
}

/** The last instant that a clock can tell. */
const LATEST_MS = 8.64e15;

/** Where a piece belongs, to the millimetre: a tick for another place says nothing of this one. */
export function placeOf(item: Pick<Item, 'at'> & { headingRad?: number }): string {
  const facing = item.headingRad === undefined ? '' : ` ${facingFromHeading(item.headingRad).toFixed(1)}`;
  return `${placeOfPoint(item.at)}${facing}`;
}

export const placeOfPoint = ({ xM, yM }: PointM) => `${xM.toFixed(3)} ${yM.toFixed(3)}`;
