/** Where things lie on the ribbon: names down the side, posts and lengths in the head, a row for each horse. */
export const NAMES_PX = 104;
export const HEAD_PX = 36;
export const ROW_PX = 50;
export const END_PX = 30;
/** No more of it is seen at a time: further rows are rolled to. */
export const SEEN_PX = 240;
/** Room for two options with their chances, a line each: whatever a leg says is written whole. */
export const LEAST_PX = 156;
/** Room for the length of a gap that a pole only helps with. */
export const QUIET_LEAST_PX = 76;

/** A leg as the ribbon has it: its length along the track, and whether little is said of it. */
export type LegOnRibbon = { trackM: number; isQuiet: boolean };

/**
 * The scale of a ribbon on the screen: so many pixels a metre, but no leg narrower than what it says. What is wider than the room
 * there is, is scrolled.
 */
export type RibbonFrame = { widthPx: number; heightPx: number; pxPerM: number; leastPx: readonly number[] };

/**
 * @param widthPx - the room there is
 * @param rows - how many horses ride
 */
export function ribbonFrame(widthPx: number, rows: number, legs: readonly LegOnRibbon[]): RibbonFrame {
  const leastPx = legs.map(({ isQuiet }) => (isQuiet ? QUIET_LEAST_PX : LEAST_PX));
  const tracksM = legs.map(({ trackM }) => trackM);
  return { widthPx, heightPx: HEAD_PX + rows * ROW_PX + 4, ...scaled(widthPx, tracksM, leastPx) };
}

/** The scale at which pieces of these lengths fill a ribbon so wide, none narrower than its least. */
export function scaled(
  widthPx: number,
  tracksM: readonly number[],
  leastPx: readonly number[],
): Pick<RibbonFrame, 'pxPerM' | 'leastPx'> {
  return { pxPerM: scaleFor(widthPx - NAMES_PX - END_PX * 2, tracksM, leastPx), leastPx };
}

/** The scale at which the legs fill the room, those that would be too narrow having their least; the least of scales where none does. */
function scaleFor(roomPx: number, tracksM: readonly number[], leastPx: readonly number[]): number {
  let narrow = new Set<number>();
  for (;;) {
    const free = tracksM.flatMap((trackM, index) => (narrow.has(index) ? [] : [{ index, trackM }]));
    const freeM = free.reduce((sum, { trackM }) => sum + trackM, 0);
    const takenPx = leastPx.reduce((sum, px, index) => sum + (narrow.has(index) ? px : 0), 0);
    if (free.length === 0 || freeM <= 0) return LEAST_SCALE;
    const pxPerM = (roomPx - takenPx) / freeM;
    const tooNarrow = free.filter(({ trackM, index }) => trackM * pxPerM < leastPx[index]!);
    if (tooNarrow.length === 0) return Math.max(LEAST_SCALE, pxPerM);
    narrow = new Set([...narrow, ...tooNarrow.map(({ index }) => index)]);
  }
}

/** Pixels a metre where every leg has its least width: long legs are still longer than short ones. */
const LEAST_SCALE = 6;

/** How wide a leg of that place in the track is. */
export function legPx({ pxPerM, leastPx }: RibbonFrame, leg: number, trackM: number): number {
  return Math.max(leastPx[leg] ?? 0, trackM * pxPerM);
}

/** Where the stops of a track stand, in pixels from the left of the ribbon. */
export function stopsPx(frame: RibbonFrame, tracksM: readonly number[]): number[] {
  const stops = [NAMES_PX + END_PX];
  tracksM.forEach((trackM, leg) => stops.push(stops[leg]! + legPx(frame, leg, trackM)));
  return stops;
}

/** How wide the whole ribbon is: at least as wide as the room there is. */
export function contentPx(frame: RibbonFrame, tracksM: readonly number[]): number {
  return Math.max(frame.widthPx, Math.ceil(stopsPx(frame, tracksM).at(-1)! + END_PX));
}

/** So far along the track, in pixels from the left of the ribbon. */
export function alongPx(frame: RibbonFrame, tracksM: readonly number[], alongM: number): number {
  const stops = stopsPx(frame, tracksM);
  let leftM = alongM;
  for (const [leg, trackM] of tracksM.entries()) {
    if (leftM <= trackM || leg === tracksM.length - 1)
      return stops[leg]! + (trackM > 0 ? (leftM / trackM) * legPx(frame, leg, trackM) : 0);
    leftM -= trackM;
  }
  return stops[0]!;
}

/** Whether any of a row is seen when so much of the ribbon is rolled up. */
export function isInSight(row: number, rolledPx: number, seenPx: number): boolean {
  const topPx = HEAD_PX + row * ROW_PX;
  return topPx < rolledPx + seenPx && topPx + ROW_PX > rolledPx;
}
