import 'server-only';
import type { SampleStep } from '@/components/Shell/SampleBar';
import type { RoanDatabase } from '@/data/database';
import { sampleWay } from '@/data/queries/sampleYard';

/** The way round a sample: what is tried where. What is not there any more is left out. */
export async function sampleSteps(db: RoanDatabase, yardId: string, nowMs: number): Promise<SampleStep[]> {
  const { layoutId, lessonId, riddenId, pairId } = await sampleWay(db, yardId, nowMs);
  const way: (Omit<SampleStep, 'href'> & { href: string | null })[] = [
    {
      ...{ of: 'plan', name: 'Plan', href: layoutId && `/plan/${layoutId}` },
      words: 'Drag a fence: the strides of every horse change with it. Undo takes it back.',
    },
    {
      ...{ of: 'set', name: 'Set', href: layoutId && `/set/${layoutId}` },
      words: 'This goes to the arena: every piece is measured from one that stands already.',
    },
    {
      ...{ of: 'ride', name: 'Ride', href: lessonId && `/ride/lessons/${lessonId}/run` },
      words: 'Ride it today, and teach it with one thumb: clean, or what went wrong and where.',
    },
    {
      ...{ of: 'today', name: 'Record', href: riddenId && `/ride/lessons/${riddenId}/record` },
      words: 'What was ridden, pass by pass. A wrong mark is put right here.',
    },
    {
      ...{ of: 'review', name: 'Review', href: pairId && `/review/${pairId}` },
      words: 'What a season of passes says about one pair.',
    },
    {
      ...{ of: 'mine', name: 'What next', href: '/ride/next' },
      words: 'What each pair could ride next, and why.',
    },
  ];
  return way.flatMap(({ href, ...step }) => (href === null ? [] : [{ ...step, href }]));
}
