'use client';

import { useSay } from '@/components/Lengths/LengthsProvider';
import { flatCalls, gaitWord, layoutLabels, type FigureTrack, type Layout } from '@/core';
import { Modal } from '@/components/Modal/Modal';
import { Button, Group } from '@mantine/core';
import classes from './CallSheet.module.css';

type FlatCallSheetProps = { layout: Layout; track: FigureTrack; onClose: () => void };

/** A session of figures as it is called out, letter by letter. */
export default function FlatCallSheet({ layout, track, onClose }: FlatCallSheetProps) {
  const say = useSay();
  return (
    <Modal opened onClose={onClose} size="xl" title={`Called out: ${layoutLabels(layout).track(track.id)}`}>
      <Group justify="flex-end" mb="sm" className="roan-no-print">
        <Button variant="default" onClick={() => window.print()}>
          Print
        </Button>
      </Group>
      <ol className={classes.lines} aria-label="Figures as they are called out">
        {flatCalls(layout.arena, track.figures, track.gait).map(({ where, what, gait, rein, then }, index) => (
          <li key={index}>
            <strong>{where}</strong>: {say(what)}
            <small>
              {say(gaitWord(gait))}, {rein} rein
              {then.map(change => (
                <div key={change}>{say(change)}</div>
              ))}
            </small>
          </li>
        ))}
      </ol>
    </Modal>
  );
}
