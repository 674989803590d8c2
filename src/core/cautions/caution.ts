export type CautionLevel = 'stop' | 'warn' | 'note';

/** One thing to look at before anybody rides: what, where, how bad, and what would mend it. */
export type Caution = { code: string; level: CautionLevel; items: string[]; text: string; mend: string };
