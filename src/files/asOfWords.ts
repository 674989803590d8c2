/** How old what is shown is: "as of 9:40", with the day where that is not today's. By the device's own clock. */
export function asOfWords(keptAtMs: number, nowMs: number): string {
  const [kept, now] = [new Date(keptAtMs), new Date(nowMs)];
  const time = kept.toLocaleTimeString('en-GB', { hour: 'numeric', minute: '2-digit' });
  if (kept.toDateString() === now.toDateString()) return `as of ${time}`;
  return `as of ${kept.toLocaleDateString('en-GB', { weekday: 'short', day: 'numeric', month: 'short' })}, ${time}`;
}
