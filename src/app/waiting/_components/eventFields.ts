/** What can be put right by hand in an event: its words, numbers and times, not the ids that tie it to others. */
export type EventField = { path: string; name: string; value: string | number; isTime: boolean };

const NAMES: Readonly<Record<string, string>> = {
  atMs: 'When',
  riddenAtMs: 'When',
  tappedAtMs: 'When',
  words: 'The note',
  count: 'Strides',
  place: 'At which one of the line',
  by: 'Who said it',
};
const FIXED = /(^|\.)(id|type|kind|.*Id|of|from|key)$/;

/** The fields of an event that can be mended. */
export function eventFields(event: unknown, under = ''): EventField[] {
  if (typeof event !== 'object' || event === null || Array.isArray(event)) return [];
  return Object.entries(event).flatMap(([name, value]): EventField[] => {
    const path = under === '' ? name : `${under}.${name}`;
    if (FIXED.test(path)) return [];
    if (typeof value === 'string' || typeof value === 'number')
      return [{ path, name: NAMES[name] ?? name, value, isTime: name.endsWith('AtMs') || name === 'atMs' }];
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

/** An instant as a field for a day and a time takes it, by the clock of this device. */
export function typedTime(ms: number): string {
  const at = new Date(ms);
  if (Number.isNaN(at.getTime())) return '';
  const two = (number: number) => String(number).padStart(2, '0');
  const day = `${String(at.getFullYear()).padStart(4, '0')}-${two(at.getMonth() + 1)}-${two(at.getDate())}`;
  return `${day}T${two(at.getHours())}:${two(at.getMinutes())}:${two(at.getSeconds())}`;
}

/** The instant that such a field says, milliseconds as text; empty where it says none. */
export function timeTyped(text: string): string {
  const ms = new Date(text).getTime();
  return Number.isNaN(ms) ? '' : String(ms);
}
