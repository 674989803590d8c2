import dayjs from 'dayjs';

/** The Monday of a day's week, both as "2026-05-04". */
export function mondayOf(day: string): string {
  const at = dayjs(day);
  return at.subtract((at.day() + 6) % 7, 'day').format('YYYY-MM-DD');
}
