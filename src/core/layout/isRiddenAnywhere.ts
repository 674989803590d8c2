import type { Layout } from './layout';

/** Whether some track of a layout is ridden over this item. */
export function isRiddenAnywhere({ tracks }: Pick<Layout, 'tracks'>, id: string): boolean {
  return tracks.some(track => track.kind === 'items' && track.through.some(({ item }) => item === id));
}
