/**
 * Taps from before the page was alive: a script that stands first in the page (`EARLY_TAPS`) keeps them, shows on the key how many it
 * heard, and the pad taps them again once it is alive. Keys that may be tapped early bear `data-early` with a name of their own.
 */
type Early = { name: string; atMs: number };
type EarlyWindow = Window & { roanEarly?: Early[] | null };

/** Runs before anything else; it takes no word of the page, so that it stands under the page's policy with its nonce. */
export const EARLY_TAPS = `(function(w,d){w.roanEarly=[];d.addEventListener('click',function(e){
if(!w.roanEarly||!e.isTrusted)return;var k=e.target.closest&&e.target.closest('[data-early]');
if(k){w.roanEarly.push({name:k.getAttribute('data-early'),atMs:Date.now()});
k.setAttribute('data-heard',1+Number(k.getAttribute('data-heard')))}},true)})(window,document)`;

let nowOfTap: number | null = null;

/** When what is tapped now was tapped, milliseconds. */
export function tapAtMs(): number {
  return nowOfTap ?? Date.now();
}

/** Whether what is tapped now was tapped before, and is done now. */
export const isTappedAgain = (): boolean => nowOfTap !== null;

/** What was tapped before the page was alive, once: from now on nothing is kept. */
export function takeEarlyTaps(page: EarlyWindow = window): readonly Early[] {
  const early = page.roanEarly ?? [];
  page.roanEarly = null;
  for (const key of document.querySelectorAll('[data-heard]')) key.removeAttribute('data-heard');
  return early;
}

/** Taps the keys again, each at its time; between two of them the page draws itself anew. */
export async function tapAgain(early: readonly Early[], root: ParentNode = document): Promise<void> {
  for (const { name, atMs } of early) {
    nowOfTap = atMs;
    const keys = [...root.querySelectorAll<HTMLElement>('[data-early]')];
    keys.find(key => key.dataset.early === name)?.click();
    nowOfTap = null;
    await new Promise(resolve => setTimeout(resolve));
  }
}
