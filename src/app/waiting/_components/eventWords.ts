import { eventAtMs, markWords, type RecordEvent } from '@/core';

type Loose = Record<string, unknown>;

/** What was tapped, in a few words; of what this Roan does not know, what it calls itself. */
export function eventWords(event: unknown): string {
  if (typeof event !== 'object' || event === null) return 'something that cannot be read';
  if ('test' in event) return testWords((event as Loose).test);
  if ('piece' in event) return (event as Loose).ticked ? 'a piece that stands' : 'a piece that does not stand';
  try {
    return recordWords(event as RecordEvent) ?? 'something that cannot be read';
  } catch {
    return 'something that cannot be read';
  }
}

function recordWords(event: RecordEvent): string | null {
  switch (event.type) {
    case 'pass':
      return `a pass: ${event.pass.stage}`;
    case 'mark':
      if (event.mark.kind === 'strides')
        return `${event.mark.count || 'no'} ${event.mark.count === 1 ? 'stride' : 'strides'}, at ${event.mark.place}`;
      return `a mark: ${markWords(event.mark)}`;
    case 'break':
      return 'a walk break';
    case 'ask':
      return 'what was asked on the day';
    case 'join':
      return 'a pair that came';
    case 'acknowledge':
      return 'that the work was seen';
    case 'change':
      return 'a change of the record';
    default:
      return null;
  }
}

function testWords(test: unknown): string {
  const passes = (test as { passes?: unknown } | null)?.passes;
  const many = Array.isArray(passes) ? passes.length : 0;
  return `a stride test of ${many} ${many === 1 ? 'pass' : 'passes'}`;
}

/** When it was said, milliseconds; null where it does not say. */
export function saidAtMs(event: unknown): number | null {
  try {
    const { tappedAtMs, test } = event as { tappedAtMs?: unknown; test?: { testedAtMs?: unknown } };
    const at = tappedAtMs ?? test?.testedAtMs ?? eventAtMs(event as RecordEvent);
    return typeof at === 'number' ? at : null;
  } catch {
    return null;
  }
}
