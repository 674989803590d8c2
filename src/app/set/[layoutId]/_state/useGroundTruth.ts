import { useFetched } from '@/components/useFetched';
import { parseLength, type Layout, type LengthUnit, type SettingSheet } from '@/core';
import { useDraft } from '@/components/sync/useDraft';
import type { GroundTyped } from '@/files/standing';
import { useMemo, useState } from 'react';
import { legKey, type Ground, type Typed } from './ground';

const NOTHING_TYPED: Typed = { text: '', lengthM: null, fault: null };

/** What was measured on the ground, as it is typed, and what it makes of the layout. */
export function useGroundTruth(
  layout: Layout,
  sheet: SettingSheet,
  measureBy: GroundTyped['measureBy'],
  reading: { unit: LengthUnit; stepM: number | null },
  /** Names what is typed: of one layout, as it was planned then. */
  draftName: string,
) {
  const [measures, setMeasures] = useState<Record<string, Typed>>({});
  const [legs, setLegs] = useState<Record<string, Typed>>({});
  const read = (text: string): Typed => {
    if (text.trim() === '') return NOTHING_TYPED;
    const parsed = parseLength(text, {
      defaultUnit: reading.unit,
      ...(reading.stepM === null ? {} : { stepLengthM: reading.stepM }),
    });
    return parsed.ok ? { text, lengthM: parsed.lengthM, fault: null } : { text, lengthM: null, fault: parsed.reason };
  };
  const textsOf = (typed: Record<string, Typed>) =>
    Object.fromEntries(Object.entries(typed).flatMap(([key, { text }]) => (text === '' ? [] : [[key, text]])));
  const texts = { measures: textsOf(measures), legs: textsOf(legs) };
  const isTyped = Object.keys({ ...texts.measures, ...texts.legs }).length > 0;
  useDraft(draftName, isTyped ? texts : null, left => {
    const back = typedTexts(left);
    const readAll = (of: Record<string, string>) =>
      Object.fromEntries(Object.entries(of).map(([key, text]) => [key, read(text)]));
    // What was typed meanwhile stands.
    setMeasures(typed => ({ ...readAll(back.measures), ...typed }));
    setLegs(typed => ({ ...readAll(back.legs), ...typed }));
  });
  const { value: reckoning, isMissing } = useFetched(reckoner, isTyped);
  const ground = useMemo((): Ground => {
    const fault = [...Object.values(measures), ...Object.values(legs)].find(({ fault: reason }) => reason)?.fault;
    if (fault) return { kind: 'faulty', problem: fault };
    if (!isTyped) return { kind: 'nothing' };
    if (reckoning) return reckoning.reckonGround(layout, sheet, measureBy, measures, legs);
    return isMissing ? { kind: 'faulty', problem: NOT_FETCHED } : { kind: 'nothing' };
  }, [isTyped, reckoning, isMissing, layout, sheet, measureBy, measures, legs]);
  return {
    ground,
    measure: (id: string) => measures[id] ?? NOTHING_TYPED,
    leg: (track: string, leg: number) => legs[legKey(track, leg)] ?? NOTHING_TYPED,
    typeMeasure: (id: string, text: string) => setMeasures(typed => ({ ...typed, [id]: read(text) })),
    typeLeg: (track: string, leg: number, text: string) =>
      setLegs(typed => ({ ...typed, [legKey(track, leg)]: read(text) })),
    forget: () => {
      setMeasures({});
      setLegs({});
    },
  };
}

const NOT_FETCHED = 'What reckons this could not be fetched: it is asked for again. What was typed stays.';
/** What reckons a layout anew: most sheets are only walked. */
const reckoner = () => import('./reckonGround');

/** What was kept of what was typed, as far as it is that. */
function typedTexts(kept: unknown): { measures: Record<string, string>; legs: Record<string, string> } {
  const { measures, legs } = (kept ?? {}) as { measures?: unknown; legs?: unknown };
  const texts = (of: unknown) =>
    Object.fromEntries(
      Object.entries(of ?? {}).filter((entry): entry is [string, string] => typeof entry[1] === 'string'),
    );
  return { measures: texts(measures), legs: texts(legs) };
}

export type GroundTruth = ReturnType<typeof useGroundTruth>;
