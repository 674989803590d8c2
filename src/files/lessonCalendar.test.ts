import { lessonCalendar, type CalendarLesson } from './lessonCalendar';

const LESSON: CalendarLesson = {
  ...{ id: 'lesson-1', name: 'Poles; then, a bend', startsAtMs: Date.UTC(2026, 2, 29, 9, 30), minutes: 105 },
  ...{ arena: 'Lower school', pairs: ['Juniper with Wren', 'Mayfly with Oda'], stages: ['Poles', 'Four fences'] },
};

/** The lines of a calendar, unfolded, by their names (RFC 5545, 3.1: a line goes on where the next begins with a space). */
function linesOf(text: string): Map<string, string[]> {
  const lines = new Map<string, string[]>();
  for (const line of text.replace(/\r\n[ \t]/g, '').split('\r\n')) {
    const at = line.search(/[:;]/);
    if (at < 0) continue;
    const name = line.slice(0, at);
    lines.set(name, [...(lines.get(name) ?? []), line.slice(line.indexOf(':') + 1)]);
  }
  return lines;
}

const NOW_MS = Date.UTC(2026, 2, 1, 8, 0);

test('a lesson begins in UTC and lasts as long as it is planned', () => {
  const lines = linesOf(lessonCalendar([LESSON], NOW_MS));
  // RFC 5545, 3.3.5: a time in UTC ends in Z. 3.3.6: an hour and three quarters is PT1H45M.
  expect(lines.get('DTSTART')).toEqual(['20260329T093000Z']);
  expect(lines.get('DURATION')).toEqual(['PT1H45M']);
  expect(lines.get('LOCATION')).toEqual(['Lower school']);
});

test('signs that the format uses are written as text', () => {
  const lines = linesOf(lessonCalendar([LESSON], NOW_MS));
  // RFC 5545, 3.3.11: semicolons and commas of a text stand behind a backslash, and a new line is \n.
  expect(lines.get('SUMMARY')).toEqual(['Poles\\; then\\, a bend']);
  expect(lines.get('DESCRIPTION')).toEqual(['Juniper with Wren\\nMayfly with Oda\\n\\nPoles\\nFour fences']);
});

test('several lessons are an event each, in one calendar, with names of their own', () => {
  const text = lessonCalendar([LESSON, { ...LESSON, id: 'lesson-2', pairs: [], stages: [] }], NOW_MS);
  const lines = linesOf(text);
  expect(text.startsWith('BEGIN:VCALENDAR\r\n')).toBe(true);
  expect(text.trimEnd().endsWith('END:VCALENDAR')).toBe(true);
  expect(lines.get('BEGIN')).toEqual(['VCALENDAR', 'VEVENT', 'VEVENT']);
  expect(lines.get('UID')).toEqual(['lesson-1@roan', 'lesson-2@roan']);
  // RFC 5545, 3.1: no line is longer than 75 octets.
  for (const line of text.split('\r\n')) expect(Buffer.byteLength(line)).toBeLessThanOrEqual(75);
});
