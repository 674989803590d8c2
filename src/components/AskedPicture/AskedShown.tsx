import { CroppedSand } from '@/components/Sand/CroppedSand';
import type { AskedToShow } from '@/core';
import { askedShapes } from './askedShapes';

/** What is asked, drawn true and near: what stands with the numbers of the course, and the way over it with an arrow. */
export function AskedShown({ show, isSmall }: { show: AskedToShow; isSmall?: boolean }) {
  const { layout, track, labels } = show;
  return (
    <CroppedSand
      arena={layout.arena}
      items={layout.items}
      tracks={[track]}
      letters={isSmall ? 13 : 26}
      over={seen => askedShapes(layout, track, labels, seen)}
    />
  );
}
