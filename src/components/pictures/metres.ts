/** A length as the numbers have it: metres, to the millimetre. */
export const metres = (lengthM: number): number => Number(lengthM.toFixed(3));
