/** What stands for each place: a sun over a pole, a stable door, a track, a peg and its two pulls, a hoof mark, the ribbon. */
const DRAWN = {
  today: (
    <>
      <path d="M6 15a6 6 0 0 1 12 0M12 4v2.5M4.2 8.2l1.8 1.6M19.8 8.2 18 9.8" />
      <path d="M2.5 18.5h19" strokeWidth="3" />
      <path d="M7 18.5h3.2M13.8 18.5H17" stroke="var(--roan-icon-ground)" strokeWidth="1.6" />
    </>
  ),
  yard: <path d="M5 21V6.5L12 3l7 3.5V21zM5 12.5h14M5 21l14-8.5M19 21 5 12.5M9.5 9h5" />,
  plan: (
    <>
      <rect x="3" y="4" width="18" height="16" rx="1" />
      <path d="M7 17V9.5a2.5 2.5 0 0 1 5 0v5a2.5 2.5 0 0 0 5 0V7" />
    </>
  ),
  set: (
    <>
      <path d="M3 20 15 6l6 14z" strokeDasharray="3.2 2.2" />
      <path d="M3 20h18" />
      <circle cx="15" cy="6" r="2.4" fill="currentColor" />
    </>
  ),
  ride: (
    <path d="M8 20.5H5.5C4 16 3.8 11 6 7.5a7 7 0 0 1 12 0c2.2 3.5 2 8.5.5 13H16M8 20.5c-.8-4-.6-7.5.8-9.5a3.9 3.9 0 0 1 6.4 0c1.4 2 1.6 5.5.8 9.5" />
  ),
  review: <path d="M3 19h18M3 19v-3M9 19V8M15 19v-5M21 19V5M3 16q3-9 6-8M9 8q3 0 6 6M15 14q3-10 6-9" />,
  mine: <path d="M4 15a8 8 0 0 1 16 0zM2.5 15h19M12 7V4.5M7 15c0 4 2 6 5 6s5-2 5-6" />,
  office: <path d="M5 5v14M9 5v14M13 5v14M17 5v14M2.5 17 21 7" />,
} as const;

export type PlaceDrawn = keyof typeof DRAWN;

/** The drawing of a place, as large as a word of the rail needs it. */
export function PlaceIcon({ of }: { of: PlaceDrawn }) {
  return (
    <svg
      viewBox="0 0 24 24"
      width={26}
      height={26}
      fill="none"
      stroke="currentColor"
      strokeWidth={1.7}
      strokeLinecap="round"
      strokeLinejoin="round"
      aria-hidden="true"
    >
      {DRAWN[of]}
    </svg>
  );
}
