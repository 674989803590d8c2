'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import { useMayPlan } from '@/components/who/mayPlan';
import type { PrintedSheet } from '@/files/printedSheet';
import { Text, Title } from '@mantine/core';
import Link from 'next/link';
import type { Walker } from './walker';
import classes from './SettingSheet.module.css';

type SheetWordsProps = {
  layoutId: string;
  printed: PrintedSheet;
  effort: { walkedM: number; measures: number; minutes: number };
  stage: string | null;
  walker: Walker | null;
  hasWalkers: boolean;
};

/** Beside the drawing: what to carry out, what is lacking, and how long it takes. */
export function SheetWords({ layoutId, printed, effort, stage, walker, hasWalkers }: SheetWordsProps) {
  const { format, formatWay } = useLengths();
  const mayPlan = useMayPlan();
  return (
    <div className={classes.words}>
      <Title order={2} size="h4">
        Carry out
      </Title>
      <ul className={classes.kit}>
        {printed.kit.map(({ kind, words, lacking }) => (
          <li key={kind}>
            {words}
            {lacking > 0 && <strong>: the yard lacks {lacking}</strong>}
          </li>
        ))}
      </ul>
      <Text size="sm">
        About {effort.minutes} min for one person: {formatWay(effort.walkedM)} to walk, {effort.measures} lengths to
        measure.
      </Text>
      <Text size="sm">
        Left and right are as each piece is ridden. Numbers are those of the course.
        {walker && ` One step of ${walker.name} is ${format(walker.stepLengthM)}.`}
      </Text>
      {!hasWalkers && (
        <Text size="sm" className="roan-no-print">
          Nobody’s step is known yet:{' '}
          {mayPlan ? (
            <Link href="/yard">walk a taped length in the yard</Link>
          ) : (
            'ask the instructor to have yours walked'
          )}{' '}
          and the sheet speaks in it.
        </Text>
      )}
      <Text size="sm" className="roan-no-print">
        <Link href={`/set/${layoutId}/next${stage ? `?from=${stage}` : ''}`}>
          On to the next stage or layout: what is changed and carried
        </Link>
      </Text>
    </div>
  );
}
