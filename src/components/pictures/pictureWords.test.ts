import { middleWithin, PICTURE_WIDTH, roomOf, shortened, withRoom, wrapped } from './pictureWords';

test('words have their room, and not more', () => {
  expect(shortened('Quill', 100)).toBe('Quill');
  const long = shortened('Bartholomew of the Lower Water Meadow', 100);
  expect(long).toMatch(/^Bartholomew.*…$/);
  expect(roomOf(long)).toBeLessThanOrEqual(100);
  expect(shortened('Quill', 0)).toBe('Q…');
});

test('words are broken between words, and the last line says that there are more', () => {
  expect(wrapped('All poles, heron to willow', 115, 2)).toEqual(['All poles,', 'heron to willow']);
  const lines = wrapped('A long course through the whole arena, fence 11 to fence 12, 19.40 m', 110, 2);
  expect(lines).toHaveLength(2);
  expect(lines[1]).toMatch(/…$/);
  for (const line of lines) expect(roomOf(line)).toBeLessThanOrEqual(110);
  expect(wrapped('Donaudampfschiffahrtsgesellschaft', 60, 2)).toEqual(['Donauda…']);
});

test('of marks too near each other the later ones keep their words, the last one always', () => {
  const marks = Array.from({ length: 30 }, (_, at) => ({ at: at * 10, words: `${at} Jun` }));
  const kept = withRoom(marks);
  expect(kept.at(-1)).toBe(marks[29]);
  kept.slice(1).forEach((mark, index) => {
    expect(mark.at - kept[index]!.at).toBeGreaterThanOrEqual(roomOf(mark.words) / 2 + roomOf(kept[index]!.words) / 2);
  });
  expect(withRoom([])).toEqual([]);
});

test('words at an edge are drawn inside', () => {
  expect(middleWithin(0, 'June')).toBe(roomOf('June') / 2);
  expect(middleWithin(PICTURE_WIDTH, 'June')).toBe(PICTURE_WIDTH - roomOf('June') / 2);
  expect(middleWithin(170, 'June')).toBe(170);
});
