/** What reads the events that a device kept: a tenth of a pad, and mostly nothing was kept. */
export const eventReader = () => import('@/files/recordEvent').then(({ readKeptEvents }) => readKeptEvents);
