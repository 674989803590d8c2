/** Where an event is until the server has it. */
export type KeptIn =
  /** On its way into the device's store. */
  | 'writing'
  /** In the device's store: it outlives the page and the browser. */
  | 'device'
  /** In this page alone, since the device's store did not take it: it is lost when the page is closed. */
  | 'page';

/** One event that waits: in a box, which says what it is of and where it is sent. */
export type KeptRow = {
  /** Its place in the device's store; below 0 while it has none. */
  seq: number;
  /** Names this row, wherever it is kept. */
  key: string;
  /** It goes in this order, milliseconds or a little more: no row of a device has that of another. */
  order: number;
  /** "lesson:ID", "ride:PAIR/VERSION", "ticks:LAYOUT". */
  box: string;
  event: unknown;
  /** The yard that it was tapped in: it is sent there, whichever the device is in by then. Left out by an older Roan. */
  yard?: string;
  /** Why the server will not have it; null while it is to be sent. */
  refused: string | null;
  keptIn: KeptIn;
};

export type StoredRow = Omit<KeptRow, 'keptIn'>;
