/** Scales that are easy to read with a ruler. */
const SCALES = [50, 75, 100, 125, 150, 200, 250, 300, 400, 500, 600, 750, 1000, 1250, 1500, 2000] as const;

/** Millimetres of paper to a metre of sand at 1 : scale. */
export const mmPerM = (scale: number) => 1000 / scale;

/**
 * The largest scale, as 1 : so many, at which a drawing fits into a space on paper.
 * @param drawing - metres of sand it covers
 * @param space - millimetres
 */
export function paperScale(
  drawing: { widthM: number; heightM: number },
  space: { widthMm: number; heightMm: number },
): number {
  const fits = (scale: number) =>
    drawing.widthM * mmPerM(scale) <= space.widthMm && drawing.heightM * mmPerM(scale) <= space.heightMm;
  return SCALES.find(fits) ?? SCALES[SCALES.length - 1]!;
}
