import { paperFrame } from '@/components/Sand/paperFrame';
import type { SandView } from '@/components/Sand/sandView';
import type { Shape } from '@/components/Sand/shape';
import { besideEnd, chainsOf, isRidden, poseAt, type Layout, type ReckonedTrack } from '@/core';

type Asked = Pick<Layout, 'items' | 'arena'>;
type Seen = { view: SandView; textM: number };

/** What is asked, over its drawing: arrows on the way, and the number of each thing that is ridden. */
export function askedShapes(
  asked: Asked,
  track: ReckonedTrack,
  labels: ReadonlyMap<string, string>,
  seen: Seen,
): Shape[] {
  return [...arrows(track, seen), ...numbers(asked, labels, seen)];
}

function numbers(asked: Asked, labels: ReadonlyMap<string, string>, { view, textM }: Seen): Shape[] {
  return asked.items.filter(isRidden).flatMap((item): Shape[] => {
    const label = labels.get(item.id);
    if (label === undefined) return [];
    const { x, y } = view.toPaper(besideEnd(item, textM * 0.65, asked.arena));
    return [{ kind: 'text', x, y, sizeM: textM, look: 'name', runs: [{ words: label }] }];
  });
}

/** An arrow this far along each line says which way it is ridden. */
const ARROW_SHARE = 0.4;

function arrows(track: ReckonedTrack, { view, textM }: Seen): Shape[] {
  return chainsOf(track).map(chain => {
    const frame = paperFrame(view, poseAt(chain, chain.lengthM * ARROW_SHARE));
    const half = textM * 0.4;
    const d = `M${frame.at(-half, -half)}L${frame.at(half, 0)}L${frame.at(-half, half)}`;
    return { kind: 'path', d, look: 'head', strokeM: textM * 0.13 };
  });
}
