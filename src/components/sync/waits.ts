/** What of a page is not in the database yet. */
export type Waits = {
  /** How many wait to be sent. */
  unsent: number;
  /** How many of those are on their way into the device's store. */
  writing: number;
  /** How many of those the device's store did not take: they are in this page alone. */
  inPageOnly: number;
  /** How many the server will not have. */
  refused: number;
  /** Why they wait; null while nothing is wrong. */
  problem: string | null;
};

/**
 * What waits, in words that follow what was really written: nothing is said to be kept on the device that is not; null where
 * nothing is to be said.
 */
export function waitWords({ unsent, writing, inPageOnly, problem }: Waits): string | null {
  if (unsent === 0) return null;
  // Until it is written nobody can say that it is kept.
  if (writing > 0) return 'Saving …';
  if (inPageOnly > 0)
    return `${unsent} not saved yet, ${
      inPageOnly === unsent ? 'and' : `${inPageOnly} of them`
    } only in this page: this device’s storage does not take them. Leave the page open until they are sent. ${problem ?? ''}`.trim();
  return problem === null ? 'Saving …' : `${unsent} not saved yet, kept on this device. ${problem}`;
}
