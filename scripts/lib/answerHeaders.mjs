/** What holds for every answer, also for files and for what does not come through the proxy. */
export const EVERY_ANSWER = [
  { key: 'x-content-type-options', value: 'nosniff' },
  { key: 'x-frame-options', value: 'DENY' },
  { key: 'referrer-policy', value: 'same-origin' },
  { key: 'cross-origin-opener-policy', value: 'same-origin' },
  { key: 'cross-origin-resource-policy', value: 'same-origin' },
  { key: 'permissions-policy', value: 'camera=(), microphone=(), geolocation=(), payment=(), usb=()' },
];

/** What routes answer is never a page. */
export const ROUTE_ANSWER = [
  { key: 'content-security-policy', value: "default-src 'none'; frame-ancestors 'none'; sandbox" },
];
