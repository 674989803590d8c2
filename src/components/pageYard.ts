/** What waited on a device says in which yard it was tapped, whichever the device is in by then. */
export const YARD_HEADER = 'x-roan-yard';

/** The yard that this page shows, by its id; undefined where nobody is signed in. Whatever a page sends is meant for it. */
export function pageYard(): string | undefined {
  return document.documentElement.dataset.yard;
}

/** Says for which yard something is asked or sent, should the device be in another by now. */
export function forYard(yard: string | undefined): Record<string, string> {
  return yard ? { [YARD_HEADER]: yard } : {};
}
