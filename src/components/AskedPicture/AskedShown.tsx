import { CroppedSand } from '@/components/Sand/CroppedSand';
import type { AskedToShow } from '@/core';
import { askedShapes } from './askedShapes';
import { legWords } from './legWords';

type AskedShownProps = {
  show: AskedToShow;
  isSmall?: boolean;
  /** What is written at each leg, line by line. */
  atLegs?: readonly (readonly string[])[];
};

/** What is asked, drawn true and near: what stands with the numbers of the course, and the way over it with an arrow. */
export function AskedShown({ show, isSmall, atLegs }: AskedShownProps) {
  const { layout, track, labels } = show;
  return (
    <CroppedSand
      arena={layout.arena}
      items={layout.items}
      tracks={[track]}
      letters={isSmall ? 13 : 26}
      over={seen => [...askedShapes(layout, track, labels, seen), ...(atLegs ? legWords(track, atLegs, seen) : [])]}
    />
  );
}
