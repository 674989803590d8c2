import { CroppedSand } from '@/components/Sand/CroppedSand';
import { closedPath, paperFrame } from '@/components/Sand/paperFrame';
import type { SandView } from '@/components/Sand/sandView';
import type { Shape } from '@/components/Sand/shape';
import {
  askedLayout,
  chainsOf,
  isRidden,
  labelsAsBuilt,
  poseAt,
  reckonLayout,
  type Labels,
  type Layout,
  type Question,
  type ReckonedTrack,
  type RideDirection,
} from '@/core';
import { memo, useMemo } from 'react';

type AskedPictureProps = { layout: Layout; question: Question; direction?: RideDirection };

/** What is asked, drawn true and near: what stands with the numbers of the course, and the way over it with an arrow. */
export const AskedPicture = memo(function AskedPicture({ layout, question, direction }: AskedPictureProps) {
  const drawn = useMemo(() => {
    const asked = askedLayout({ ...layout, horses: [] }, question, direction);
    return asked && { asked, tracks: reckonLayout(asked), labels: labelsAsBuilt(layout, asked) };
  }, [layout, question, direction]);
  if (!drawn) return null;
  const { asked, tracks, labels } = drawn;
  return (
    <CroppedSand
      arena={asked.arena}
      items={asked.items}
      tracks={tracks}
      over={seen => [...tracks.flatMap(track => arrows(track, seen)), ...numbers(asked, labels, seen)]}
    />
  );
});

type Seen = { view: SandView; textM: number };

function numbers({ items }: Layout, { short }: Labels, { view, textM }: Seen): Shape[] {
  return items.filter(isRidden).map(item => {
    const { x, y } = view.toPaper(item.at);
    const beside = { x: x + textM * 0.95, y: y - textM * 0.7 };
    return { kind: 'text', ...beside, sizeM: textM, look: 'name', runs: [{ words: short(item.id) }] };
  });
}

/** An arrow this far along each line says which way it is ridden. */
const ARROW_SHARE = 0.4;

function arrows(track: ReckonedTrack, { view, textM }: Seen): Shape[] {
  return chainsOf(track).map(chain => {
    const frame = paperFrame(view, poseAt(chain, chain.lengthM * ARROW_SHARE));
    const half = textM * 0.45;
    const corners = [
      [half, 0],
      [-half, -half * 0.8],
      [-half, half * 0.8],
    ] as const;
    return { kind: 'path', d: closedPath(frame, corners), look: 'head' };
  });
}
