import { paperFrame } from '@/components/Sand/paperFrame';
import type { SandView } from '@/components/Sand/sandView';
import type { Shape } from '@/components/Sand/shape';
import { chainsOf, poseAt, type Item, type ReckonedTrack } from '@/core';

type Seen = { view: SandView; textM: number };

/** What is asked, over its drawing: arrows on the way, and the number of each thing that is ridden. */
export function askedShapes(
  items: readonly Item[],
  track: ReckonedTrack,
  labels: ReadonlyMap<string, string>,
  seen: Seen,
): Shape[] {
  return [...arrows(track, seen), ...numbers(items, labels, seen)];
}

function numbers(items: readonly Item[], labels: ReadonlyMap<string, string>, { view, textM }: Seen): Shape[] {
  return items.flatMap((item): Shape[] => {
    const label = labels.get(item.id);
    if (label === undefined) return [];
    const { x, y } = view.toPaper(item.at);
    const beside = { x: x + textM * 0.95, y: y - textM * 0.7 };
    return [{ kind: 'text', ...beside, sizeM: textM, look: 'name', runs: [{ words: label }] }];
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
