/**
 * Runs work while no other tab of this device does the same. Over plain HTTP browsers have no locks: then tabs may send the same
 * event twice, which the server counts once.
 */
export type OneSender = (work: () => Promise<void>) => Promise<void>;

const NAME = 'roan-sender';

export function oneSenderOfAllTabs(locks: LockManager | undefined): OneSender {
  if (!locks) return work => work();
  return work => locks.request(NAME, () => work()) as Promise<void>;
}
