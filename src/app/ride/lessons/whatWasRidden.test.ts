import { randomUUID } from 'node:crypto';
import {
  AS_LAID_OUT,
  askedLayout,
  countsAsked,
  EMPTY_PLAN,
  leftOut,
  markWords,
  moveStop,
  newItem,
  passWork,
  removeStop,
  removeThings,
  renameThing,
  type PassMark,
  type Plan,
  type Question,
} from '@/core';
import type { OpenDatabase } from '@/data/database';
import { listArenas } from '@/data/queries/arenas';
import { addLayout, findLayout, saveLayout } from '@/data/queries/layouts';
import { findVersion, keepVersion, versionsById } from '@/data/queries/layoutVersions';
import { findLesson, lessonRecord, saveLesson } from '@/data/queries/lessons';
import { listPairs } from '@/data/queries/pairs';

import { recordBatch } from '@/data/queries/recordEvents';
import { passWorks } from '@/data/queries/passWorks';
import { currentYard } from '@/data/queries/yards';
import { withTestDatabase } from '@/data/testDatabase';
import { demoAt } from '@/data/testDemo';
import fc from 'fast-check';
import { askedRide, placeName } from '../askedRide';

/** Whatever is done to the plan between passes: what each pass says afterwards is what was ridden then. */
type Step =
  | { do: 'rename'; fence: number; name: string }
  | { do: 'reorder'; from: number; to: number }
  | { do: 'leave out of the track'; stop: number }
  | { do: 'take off the sand'; fence: number }
  | { do: 'put in'; xM: number; yM: number }
  | { do: 'rename the stage'; name: string }
  | { do: 'ride'; counts: (number | null)[]; leave: number | null; at: number; outcome: 'down' | 'refusal' | null };

const index = fc.nat({ max: 11 });
const step: fc.Arbitrary<Step> = fc.oneof(
  fc.record({
    do: fc.constant('rename' as const),
    fence: index,
    name: fc.constantFrom('gate', 'planks', 'gate 2', 'b'),
  }),
  fc.record({ do: fc.constant('reorder' as const), from: index, to: index }),
  fc.record({ do: fc.constant('leave out of the track' as const), stop: index }),
  fc.record({ do: fc.constant('take off the sand' as const), fence: index }),
  fc.record({
    do: fc.constant('put in' as const),
    xM: fc.integer({ min: 6, max: 34 }),
    yM: fc.integer({ min: 8, max: 56 }),
  }),
  fc.record({ do: fc.constant('rename the stage' as const), name: fc.constantFrom('first', 'second', 'third') }),
  fc.record({
    do: fc.constant('ride' as const),
    counts: fc.array(fc.option(fc.integer({ min: 2, max: 9 })), { maxLength: 8 }),
    leave: fc.option(index),
    at: index,
    outcome: fc.constantFrom('down' as const, 'refusal' as const, null),
  }),
);

/** What a pass has to say for ever after, told by the test's own model. */
type Told = { fences: string[]; marks: string[]; counts: (number | null)[]; efforts: number };

const FENCES: [number, number, number][] = [
  [10, 12, 1],
  [10, 34, 1],
  [20, 50, 0],
  [30, 36, -1],
  [30, 14, -1],
];

function firstPlan(): Plan {
  const items = FENCES.map(([xM, yM, way], at) => ({
    ...newItem('vertical', `f${at}`, { xM, yM }, way === 0 ? 0 : (way * Math.PI) / 2),
    name: `fence-${at}`,
    ridden: 'both-ways' as const,
  }));
  const through = items.map(({ id }) => ({ item: id, reversed: false }));
  const leg = { track: 'natural', setting: 'course', approach: 'canter', asked: null, circle: null } as const;
  return {
    ...EMPTY_PLAN,
    items,
    tracks: [
      {
        ...{ kind: 'items', id: 'course', name: null, gait: 'course-canter', course: null, passes: 1 },
        ...{ through, legs: through.slice(1).map(() => leg) },
      },
    ],
  };
}

class Season {
  readonly told = new Map<string, Told>();
  private stageName = 'first';
  private clockMs = Date.parse('2026-06-01T08:00:00Z');

  private constructor(
    readonly database: OpenDatabase,
    readonly yardId: string,
    readonly layoutId: string,
    readonly lessonId: string,
    readonly pairId: string,
    readonly arenaId: string,
  ) {}

  static async begin(database: OpenDatabase): Promise<Season> {
    const yardId = (await currentYard(database)).id;
    const arena = (await listArenas(database.db, yardId)).find(({ lengthM }) => lengthM >= 60)!;
    const [pair] = await listPairs(database.db, yardId);
    return database.write(async tx => {
      const layoutId = await addLayout(tx, yardId, { name: 'Any course', arenaId: arena.id, plan: firstPlan() });
      const plan = { pairIds: [pair!.id], stages: [stageOf('first', layoutId)], breakEveryMin: 10 };
      const lesson = { name: 'A lesson', arenaId: arena.id, startsAtMs: Date.parse('2026-06-01T08:00:00Z'), plan };
      const lessonId = await saveLesson(tx, yardId, lesson);
      return new Season(database, yardId, layoutId, lessonId, pair!.id, arena.id);
    });
  }

  private async layout() {
    return (await findLayout(this.database.db, this.yardId, this.layoutId))!;
  }

  private async change(next: (plan: Plan) => Plan): Promise<void> {
    const { revision, name, plan } = await this.layout();
    const change = { layoutId: this.layoutId, baseRevision: revision, name, plan: next(plan) };
    await this.database.write(tx => saveLayout(tx, this.yardId, change, this.clockMs));
  }

  async take(step: Step): Promise<void> {
    const { plan } = await this.layout();
    const track = plan.tracks[0];
    const through = track?.kind === 'items' ? track.through : [];
    const fence = (at: number) => plan.items[at % Math.max(1, plan.items.length)]?.id;
    switch (step.do) {
      case 'rename': {
        const id = fence(step.fence);
        return id ? this.change(before => renameThing(before, id, `${step.name} ${step.fence}`)) : undefined;
      }
      case 'reorder':
        if (through.length < 2) return;
        return this.change(before => moveStop(before, 'course', step.from % through.length, step.to % through.length));
      case 'leave out of the track':
        if (through.length < 3) return;
        return this.change(before => removeStop(before, 'course', step.stop % through.length));
      case 'take off the sand': {
        const id = fence(step.fence);
        if (!id || new Set(through.map(({ item }) => item)).size < 3) return;
        return this.change(before => removeThings(before, [id], new Map()));
      }
      case 'put in':
        return this.change(before => withFence(before, step));
      case 'rename the stage': {
        this.stageName = step.name;
        const plan = { pairIds: [this.pairId], stages: [stageOf(step.name, this.layoutId)], breakEveryMin: 10 };
        const own = { id: this.lessonId, name: 'A lesson', arenaId: this.arenaId, startsAtMs: this.clockMs, plan };
        return void (await this.database.write(tx => saveLesson(tx, this.yardId, own)));
      }
      case 'ride':
        return this.ride(step);
    }
  }

  private async ride({ counts, leave, at, outcome }: Extract<Step, { do: 'ride' }>): Promise<void> {
    const layout = await this.layout();
    const layoutVersionId = await this.database.write(tx => keepVersion(tx, this.yardId, layout, 'ridden'));
    const made = (await findVersion(this.database.db, this.yardId, layoutVersionId))!.layout;
    const whole: Question = {
      ...{ id: 'q', name: null, what: { kind: 'track', trackId: 'course' }, state: AS_LAID_OUT },
      ...{ gait: 'course-canter', rein: null, asked: [] },
    };
    const track = layout.plan.tracks[0];
    if (track?.kind !== 'items') return;
    let order = track.through.map(({ item }) => item);
    let question: Question | null = whole;
    if (leave !== null && order.length > 2) {
      const stop = leave % order.length;
      question = leftOut(made, whole, stop, randomUUID());
      order = order.filter((_, index) => index !== stop);
    }
    if (!question) return;
    const legs = countsAsked(askedLayout(made, question)!).length;
    const asked = Array.from({ length: legs }, (_, leg) => counts[leg] ?? null);
    question = { ...question, asked };
    const nameOf = (id: string) => layout.plan.items.find(item => item.id === id)!.name!;
    const id = randomUUID();
    const place = (at % order.length) + 1;
    const marks: PassMark[] = outcome === null ? [] : [{ id: randomUUID(), kind: 'fence', place, outcome }];
    this.clockMs += 60_000;
    const own = { pairId: this.pairId, layoutVersionId, lessonId: this.lessonId, stageId: 'stage' };
    await this.database.write(tx =>
      recordBatch(
        tx,
        this.yardId,
        {
          lessonId: null,
          events: [
            {
              ...{ type: 'pass', id: randomUUID() },
              pass: {
                ...{ ...own, id, stage: this.stageName, question: question!, riddenAtMs: this.clockMs },
                ...{ rein: null, direction: 'as-drawn' },
              },
            },
            ...marks.map(mark => ({
              ...{ type: 'mark' as const, id: randomUUID(), passId: id, mark, atMs: this.clockMs },
            })),
          ],
        },
        this.clockMs,
      ),
    );
    this.told.set(id, {
      fences: order.map(nameOf),
      marks: outcome === null ? [] : [`${outcome} at vertical ${nameOf(order[place - 1]!)}`],
      counts: asked,
      efforts: outcome === 'refusal' ? place - 1 : order.length,
    });
  }

  /** What the record says of every pass now. */
  async says(): Promise<Map<string, Told>> {
    const { db } = this.database;
    const lesson = (await findLesson(db, this.yardId, this.lessonId))!;
    const { passes } = await lessonRecord(db, this.yardId, lesson);
    const workOf = await passWorks(db, this.yardId, passes);
    const versions = await versionsById(
      db,
      this.yardId,
      passes.map(({ layoutVersionId }) => layoutVersionId),
    );
    return new Map(
      passes.map(pass => {
        const ride = askedRide(versions.get(pass.layoutVersionId)!.layout, pass.question, null)!;
        const { lowEfforts, highEfforts } = passWork(pass, workOf(pass)!);
        const told: Told = {
          fences: ride.track!.stops.map(({ words }) => withoutNumber(words).replace('vertical ', '')),
          marks: pass.marks.map(mark => withoutNumber(markWords(mark, place => placeName(ride, place)))),
          counts: ride.track!.legs.map(({ asked }) => asked),
          efforts: lowEfforts + highEfforts,
        };
        return [pass.id, told];
      }),
    );
  }
}

/** A fence is told by its number in the course and by the name that it was given: the name is what must stay. */
const withoutNumber = (words: string) => words.replace(/vertical \d+ /, 'vertical ');

function stageOf(name: string, layoutId: string) {
  return {
    ...({
      id: 'stage',
      name,
      layoutId,
      questions: [],
      focus: '',
      seat: 'half-seat',
      eachRein: 2,
      minutes: 10,
    } as const),
    ...({ policy: 'same question again', stop: { when: 'repetitions' } } as const),
    questions: [],
  };
}

let fences = 0;
function withFence(plan: Plan, { xM, yM }: { xM: number; yM: number }): Plan {
  fences += 1;
  const id = `put-${fences}`;
  const fence = { ...newItem('vertical', id, { xM, yM }, Math.PI / 2), name: `put in ${fences}` };
  const [track] = plan.tracks;
  if (track?.kind !== 'items') return plan;
  const leg = { track: 'natural', setting: 'course', approach: 'canter', asked: null, circle: null } as const;
  const longer = { ...track, through: [...track.through, { item: id, reversed: false }], legs: [...track.legs, leg] };
  return { ...plan, items: [...plan.items, fence], tracks: [longer] };
}

test('whatever is left out, put in, reordered and renamed between passes, each keeps its names, marks, counts and work', async () => {
  await fc.assert(
    fc.asyncProperty(fc.array(step, { minLength: 6, maxLength: 16 }), async steps => {
      await withTestDatabase(
        async database => {
          const season = await Season.begin(database);
          await season.take({ do: 'ride', counts: [4, null, 5], leave: null, at: 2, outcome: 'refusal' });
          for (const one of steps) await season.take(one);
          const says = await season.says();
          expect(Object.fromEntries(says)).toEqual(Object.fromEntries(season.told));
        },
        demoAt(Date.parse('2026-06-01T07:00:00Z')),
      );
    }),
    { numRuns: 25 },
  );
}, 240_000);
