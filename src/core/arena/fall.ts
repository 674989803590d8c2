/** How the sand falls: the way water would run, and by how many metres in a hundred. */
export type Fall = { headingRad: number; percent: number };
