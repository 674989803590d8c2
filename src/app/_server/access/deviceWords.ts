/** What a device is, in words that somebody knows it by again; told by the device itself, so good for nothing else. */
export function deviceWords(userAgent: string | null): string {
  const agent = userAgent ?? '';
  const machine =
    [
      ['iPhone', 'iPhone'],
      ['iPad', 'iPad'],
      ['Android', /Mobile/.test(agent) ? 'Android phone' : 'Android tablet'],
      ['Windows', 'Windows'],
      ['Macintosh', 'Mac'],
      ['Linux', 'Linux'],
    ].find(([sign]) => agent.includes(sign!))?.[1] ?? 'A device';
  const browser = [
    ['Firefox/', 'Firefox'],
    ['Edg/', 'Edge'],
    ['Chrome/', 'Chrome'],
    ['Safari/', 'Safari'],
  ].find(([sign]) => agent.includes(sign!))?.[1];
  return browser ? `${machine}, ${browser}` : machine;
}
