const DAY_MIN = 24 * 60;

/** A time of day so many minutes after one: "18:30" and 45 is "19:15"; null where it is no time. */
export function clockAfter(startsAt: string, minutes: number): string | null {
  const [, hours, mins] = /T(\d{2}):(\d{2})$/.exec(startsAt) ?? [];
  if (hours === undefined || mins === undefined) return null;
  const at = (Number(hours) * 60 + Number(mins) + Math.round(minutes)) % DAY_MIN;
  return `${String(Math.floor(at / 60)).padStart(2, '0')}:${String(at % 60).padStart(2, '0')}`;
}
