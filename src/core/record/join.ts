/** A pair that came into a lesson while it ran, with its names as they were given. */
export type Join = {
  id: string;
  pairId: string;
  horse: { id: string; name: string; heightM: number };
  rider: { id: string; name: string };
  /** The pair that it rides instead of; null where it came besides. */
  insteadOf: string | null;
  atMs: number;
  by: string | null;
};
