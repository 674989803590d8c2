/**
 * Taps from before the page was alive: a script that stands first in the page (`EARLY_TAPS`) keeps them, shows on the key how many it
 * heard, and the pad taps them again once it is alive. Keys that may be tapped early bear `data-early` with a name of their own, and
 * lie in what bears `data-early-taps`: whoever takes the taps (`useEarlyTaps`) says so.
 */
type Early = { name: string; atMs: number };
type EarlyWindow = Window & { roanEarly?: Early[] | null };

/**
 * Runs before anything else; it takes no word of the page, so that it stands under the page's policy with its nonce. As long as taps are
 * kept nobody else hears of them: the framework would make the whole page alive in one go for the first of them, and the key would show
 * nothing until then. A press is seen at once, and is none where the thumb moves on.
 */
export const EARLY_TAPS = `(function(w){w.roanEarly=[];
function show(k,n){var name=k.getAttribute('data-early');
w.roanEarly.forEach(function(t){if(t.name===name)n++});
if(n)k.setAttribute('data-heard',n);else k.removeAttribute('data-heard')}
'pointerdown pointerup pointercancel touchstart touchend mousedown mouseup click'.split(' ').forEach(function(what){
w.addEventListener(what,function(e){
if(!w.roanEarly||!e.isTrusted)return;
var k=e.target.closest&&e.target.closest('[data-early-taps] [data-early]');
if(!k)return;
e.stopImmediatePropagation();
if(what==='click')w.roanEarly.push({name:k.getAttribute('data-early'),atMs:Date.now()});
if(what==='pointerdown')show(k,1);
if(what==='click'||what==='pointercancel')show(k,0)},true)})})(window)`;

let nowOfTap: number | null = null;

/** When what is tapped now was tapped, milliseconds. */
export function tapAtMs(): number {
  return nowOfTap ?? Date.now();
}

/** Keeps what is tapped from now on, as before the page was alive: a pad that is gone to within Roan has to read its store too. */
export function keepEarlyTaps(page: EarlyWindow = window): void {
  page.roanEarly ??= [];
}

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
