import { countInWords, type Stroke, type StrokeKind } from '@/core';

const WORDS: Record<StrokeKind, [one: string, several: string]> = {
  single: ['single fence', 'single fences'],
  line: ['line', 'lines'],
  combination: ['double', 'doubles'],
  'combination in a line': ['line to a double', 'lines to doubles'],
  'bending line': ['bending line', 'bending lines'],
};

/** What a course is made of, in words: "two lines, one double, three single fences". */
export function strokesWords(strokes: readonly Stroke[]): string {
  const counts = new Map<StrokeKind, number>();
  for (const { kind } of strokes) counts.set(kind, (counts.get(kind) ?? 0) + 1);
  return [...counts].map(([kind, count]) => `${countInWords(count)} ${WORDS[kind][count === 1 ? 0 : 1]}`).join(', ');
}
