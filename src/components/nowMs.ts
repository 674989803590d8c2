/** What the clock says now, in milliseconds: asked when something happens, never while a page is drawn. */
export function nowMs(): number {
  return Date.now();
}
