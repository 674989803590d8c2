'use client';

import { formatReading, formatTape, formatWay, sayGaits, sayLengths, type GaitWords, type LengthUnit } from '@/core';
import { createContext, useContext, useMemo, type ReactNode } from 'react';

export type Lengths = {
  /** The unit the yard reads in; a bare typed number is in it too. */
  unit: LengthUnit;
  /** Writes a length, metres, in that unit. */
  format: (lengthM: number) => string;
  /** Writes it as finely as a tape is read: to half a centimetre, feet to the eighth of an inch. */
  formatTape: (lengthM: number) => string;
  /** Writes a way that somebody walks, as people say it: "620 m". */
  formatWay: (lengthM: number) => string;
  /** Writes a place that may lie before where it is measured from: "−0.40 m". */
  formatSigned: (lengthM: number) => string;
  /** Writes a change of length with its sign: "+5 cm", "−2 in". */
  formatChange: (changeM: number) => string;
  /** A sentence of Roan's, which has metres, trot and canter, with its lengths in that unit and its gaits in the yard's words. */
  say: (sentence: string) => string;
};

const LengthsContext = createContext<Lengths | null>(null);

type LengthsProviderProps = { unit: LengthUnit; gaitWords?: GaitWords; children: ReactNode };

/** Makes the yard's unit, and what it calls the gaits, known to everything below. */
export function LengthsProvider({ unit, gaitWords = 'english', children }: LengthsProviderProps) {
  const lengths = useMemo<Lengths>(() => lengthsIn(unit, gaitWords), [unit, gaitWords]);
  return <LengthsContext.Provider value={lengths}>{children}</LengthsContext.Provider>;
}

function lengthsIn(unit: LengthUnit, gaitWords: GaitWords): Lengths {
  const changeUnit = unit === 'm' ? 'cm' : unit;
  return {
    unit,
    format: lengthM => formatReading(lengthM, unit),
    formatTape: lengthM => formatTape(lengthM, unit),
    formatWay: lengthM => formatWay(lengthM, unit),
    formatSigned: lengthM => `${lengthM < 0 ? '−' : ''}${formatReading(Math.abs(lengthM), unit)}`,
    formatChange: changeM => `${changeM < 0 ? '−' : '+'}${formatReading(Math.abs(changeM), changeUnit)}`,
    say: sentence => sayGaits(sayLengths(sentence, unit), gaitWords),
  };
}

/** The unit that is read here; metres where no yard is around. */
export function useUnit(): LengthUnit {
  return useContext(LengthsContext)?.unit ?? 'm';
}

/** The yard's way with lengths. */
export function useLengths(): Lengths {
  const lengths = useContext(LengthsContext);
  if (!lengths) throw new Error('useLengths needs a LengthsProvider above it');
  return lengths;
}

/** A sentence of Roan's in the yard's unit and words: without a yard around, as it is. */
export function useSay(): (sentence: string) => string {
  return useContext(LengthsContext)?.say ?? asItIs;
}

const asItIs = (sentence: string) => sentence;

/** Words of Roan's within a page that is made on the server, in the yard's unit and words. */
export function Said({ children }: { children: string }) {
  return useSay()(children);
}
