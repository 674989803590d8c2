'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import type { Tolerance } from '@/core';
import type { PrintedSheet } from '@/files/printedSheet';
import { Text, Title } from '@mantine/core';
import Link from 'next/link';
import type { Walker } from './SettingSheet';
import classes from './SettingSheet.module.css';

type SheetWordsProps = {
  layoutId: string;
  printed: PrintedSheet;
  tolerances: readonly Tolerance[];
  walker: Walker | null;
  hasWalkers: boolean;
};

const TOUCHIEST = 3;

/** Beside the drawing: what to carry out, what is lacking, and where to be most exact. */
export function SheetWords({ layoutId, printed, tolerances, walker, hasWalkers }: SheetWordsProps) {
  const { format, formatChange } = useLengths();
  const pieceOf = (id: string) => printed.pieces.find(piece => piece.id === id);
  const touchiest = tolerances.slice(0, TOUCHIEST);
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
      {touchiest.length > 0 && (
        <>
          <Title order={2} size="h4">
            Be most exact with
          </Title>
          <ul className={classes.kit} aria-label="Touchiest pieces">
            {touchiest.map(({ item, offM, way, horse, after }) => (
              <li key={item}>
                <strong>{pieceOf(item)?.number}</strong> {pieceOf(item)?.name}: {formatChange(offM).slice(1)} {way}, and{' '}
                {horse} reads “{after}”
              </li>
            ))}
          </ul>
        </>
      )}
      <Text size="sm">
        Left and right are as each piece is ridden. Numbers are those of the course.
        {walker && ` One step of ${walker.name} is ${format(walker.stepLengthM)}.`}
      </Text>
      {!hasWalkers && (
        <Text size="sm" className="roan-no-print">
          Nobody’s step is known yet: <Link href="/yard">walk a taped length in the yard</Link> and the sheet speaks in
          it.
        </Text>
      )}
      <Text size="sm" className="roan-no-print">
        <Link href={`/set/${layoutId}/next`}>On to another layout: what is carried where</Link>
      </Text>
    </div>
  );
}
