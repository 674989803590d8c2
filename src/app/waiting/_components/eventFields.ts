/** What can be put right by hand in an event: its words and numbers, not the ids that tie it to others. */
export type EventField = { path: string; name: string; value: string | number };

const NAMES: Readonly<Record<string, string>> = {
  atMs: 'when (milliseconds)',
  riddenAtMs: 'when (milliseconds)',
  tappedAtMs: 'when (milliseconds)',
  words: 'the note',
  count: 'strides',
  place: 'which one, from 1',
  by: 'who said it',
};
const FIXED = /(^|\.)(id|type|kind|.*Id|of|from|key)$/;

/** The fields of an event that can be mended. */
export function eventFields(event: unknown, under = ''): EventField[] {
  if (typeof event !== 'object' || event === null || Array.isArray(event)) return [];
  return Object.entries(event).flatMap(([name, value]): EventField[] => {
    const path = under === '' ? name : `${under}.${name}`;
    if (FIXED.test(path)) return [];
    if (typeof value === 'string' || typeof value === 'number') return [{ path, name: NAMES[name] ?? name, value }];
    return name === 'question' ? [] : eventFields(value, path);
  });
}

/** The event with one field as typed; a number stays a number, and what is none changes nothing. */
export function withField<Event>(event: Event, path: string, typed: string): Event {
  const [first, ...rest] = path.split('.') as [string, ...string[]];
  const own = event as Record<string, unknown>;
  const was = own[first];
  if (rest.length > 0) return { ...event, [first]: withField(was, rest.join('.'), typed) };
  if (typeof was !== 'number') return { ...event, [first]: typed };
  const number = Number(typed);
  return typed.trim() === '' || !Number.isFinite(number) ? event : { ...event, [first]: number };
}
