/** Where things lie on the ribbon: names down the side, posts and lengths in the head, a row for each horse. */
export const NAMES_PX = 104;
export const HEAD_PX = 34;
export const ROW_PX = 34;
export const END_PX = 30;
/** No more of it is seen at a time: further rows are rolled to. */
export const SEEN_PX = 236;

/** The scale of a ribbon on the screen. */
export type RibbonFrame = { widthPx: number; heightPx: number; pxPerM: number };

/**
 * @param widthPx - the room there is
 * @param rows - how many horses ride
 * @param lengthM - the track that is unrolled into it
 */
export function ribbonFrame(widthPx: number, rows: number, lengthM: number): RibbonFrame {
  const pxPerM = Math.max(200, widthPx - NAMES_PX - END_PX * 2) / Math.max(1, lengthM);
  return { widthPx, heightPx: HEAD_PX + rows * ROW_PX + 4, pxPerM };
}

/** So far along the track, in pixels from the left of the ribbon. */
export function alongPx({ pxPerM }: RibbonFrame, alongM: number): number {
  return NAMES_PX + END_PX + alongM * pxPerM;
}

/** Whether any of a row is seen when so much of the ribbon is rolled up. */
export function isInSight(row: number, rolledPx: number, seenPx: number): boolean {
  const topPx = HEAD_PX + row * ROW_PX;
  return topPx < rolledPx + seenPx && topPx + ROW_PX > rolledPx;
}
