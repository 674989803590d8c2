/** Goes to a page as if Roan were opened there: nothing that was kept of pages before is shown again. */
export function anew(page: string): void {
  window.location.href = new URL(page, window.location.href).href;
}
