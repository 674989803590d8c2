import { labelsOf, type Labels } from '../layout/labels';
import type { Layout } from '../layout/layout';

/**
 * What the things of a question are called: as on the whole layout, so that a fence keeps its number when another is left out,
 * and by what each is built as: a fence that lies as a pole is one.
 */
export function labelsAsBuilt(whole: Pick<Layout, 'items' | 'tracks'>, asked: Pick<Layout, 'items'>): Labels {
  const built = new Map(asked.items.map(item => [item.id, item]));
  return labelsOf(whole, item => built.get(item.id) ?? item);
}
