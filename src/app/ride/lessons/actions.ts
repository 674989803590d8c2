'use server';

import { SaveId } from '@/files/saveId';
import { once } from '@/data/queries/saves';
import { lessonFromPaper, LessonForm, LessonOnPaper, StageOnPaper } from '@/files/lessonPaper';
import { DatabaseRefused } from '@/data/databaseRefused';
import { findArena } from '@/data/queries/arenas';
import { listHorses } from '@/data/queries/horses';
import { findLayout } from '@/data/queries/layouts';
import { listPairs } from '@/data/queries/pairs';
import { archiveLesson, changeLesson } from '@/data/queries/changeLesson';
import { findLesson, saveLesson, type LessonDetails } from '@/data/queries/lessons';
import type { Transaction } from '@/data/database';
import { saveYardRules, yardRules } from '@/data/queries/settings';
import { keepStanding } from '@/data/queries/standings';
import {
  applyEdits,
  editsToStand,
  isRidden,
  keepRiderWork,
  MOST_RIDER_WORK,
  moveForGround,
  reckonItemTrack,
  type ItemTrack,
  type Layout,
  type LessonPlan,
} from '@/core';
import { formFaults, type FormOutcome } from '@/files/formOutcome';
import { PlannedLegOnPaper } from '@/files/questionPaper';
import { RiderWorkOnPaper } from '@/files/yardRules';
import { writeStanding } from '@/files/standing';
import { revalidatePath } from 'next/cache';
import { z } from 'zod';
import { attempt } from '../../_server/attempt';
import { may } from '../../_server/access/rules';
import { fittedStages, type Fitted } from '../../_server/fittedStages';
import { settingSetup } from '../../_server/settingSetup';
import { daysLater, instantOf, yardTime } from '../../_server/yardTime';
import { yardContext } from '../../_server/yardContext';
import { gone, Id, refuse } from '@/app/_server/refusal';

const IdOrNone = Id.nullable();

const NewId = z.uuid();

const Base = z.strictObject({ revision: z.number().int().min(0), plan: LessonOnPaper }).nullable();
const By = z.string().trim().min(1).max(60).nullable().catch(null);

/** `said`: what happened besides what was asked for; `saved`: the lesson as it is now. */
type Saved = { lessonId: string; said: string[]; saved: { revision: number; plan: LessonPlan } | null };

/**
 * Plans a lesson, or changes the plan of one.
 * @param made - what the change was made from; null for a new lesson
 * @param saving - names the save: sent again after a lost answer, nothing is planned twice
 * @param newId - names a new lesson: changed after a lost answer and sent again, it is the same one
 */
export async function saveLessonAction(
  id: unknown,
  typed: unknown,
  made: unknown,
  who: unknown,
  saving?: unknown,
  newId?: unknown,
): Promise<FormOutcome<Saved>> {
  return attempt<Saved>(may.instruct, async () => {
    const lessonId = IdOrNone.safeParse(id);
    const form = LessonForm.safeParse(typed);
    const base = Base.safeParse(made);
    const saveId = SaveId.optional().catch(undefined).parse(saving);
    if (!form.success) return formFaults(form.error);
    if (!lessonId.success || !base.success) return refuse(gone('lesson'));
    const named = NewId.optional().catch(undefined).parse(newId);
    const { db, write, yard } = await yardContext();
    const { name, arenaId, startsAt, plan } = form.data;
    const arena = await findArena(db, yard.id, arenaId);
    if (!arena) return { ok: false, fields: { arenaId: gone('arena') }, problem: null };
    for (const { layoutId } of plan.stages) {
      const layout = layoutId === null ? null : await findLayout(db, yard.id, layoutId);
      if (layoutId !== null && layout?.arena.id !== arenaId)
        return refuse(
          `“${layout?.name ?? 'A layout'}” does not lie in this arena: take its stages out, or change the arena.`,
        );
    }
    const startsAtMs = instantOf(startsAt, yard.timeZone);
    if (startsAtMs === null) return { ok: false, fields: { startsAt: 'This is no day and time.' }, problem: null };
    const details = { name, arenaId, startsAtMs, plan: lessonFromPaper(plan) };
    const known = lessonId.data;
    if (known === null) {
      const saved = await write(tx => once(tx, yard.id, saveId, () => planOnce(tx, yard.id, details, named)));
      revalidatePath('/ride');
      return { ok: true, lessonId: saved, said: [], saved: null };
    }
    const from = base.data && { revision: base.data.revision, plan: lessonFromPaper(base.data.plan) };
    const edit = {
      ...details,
      base: from ?? { revision: 0, plan: details.plan },
      by: By.parse(who),
      nowMs: Date.now(),
    };
    const said = await write(tx => once(tx, yard.id, saveId, () => changeLesson(tx, yard.id, known, edit)));
    revalidatePath('/ride');
    const now = await findLesson(db, yard.id, known);
    return { ok: true, lessonId: known, said, saved: now && { revision: now.revision, plan: now.plan } };
  });
}

/** Plans a lesson; one that is there under its name already, since an answer was lost, is changed to what it is now. */
async function planOnce(tx: Transaction, yardId: string, details: LessonDetails, newId: string | undefined) {
  const there = newId === undefined ? null : await findLesson(tx, yardId, newId);
  if (!there) return saveLesson(tx, yardId, details, newId);
  const base = { revision: there.revision, plan: there.plan };
  await changeLesson(tx, yardId, there.id, { ...details, base, by: null, nowMs: Date.now() });
  return there.id;
}

const ToFit = z.strictObject({ layoutId: Id, pairIds: z.array(z.string().max(60)).max(60) });

/** The stages of a layout as they suit the pairs that ride. */
export async function fittedStagesAction(layoutId: unknown, pairIds: unknown): Promise<FormOutcome<Fitted>> {
  return attempt<Fitted>(may.instruct, async () => {
    const wish = ToFit.safeParse({ layoutId, pairIds });
    const { db, yard } = await yardContext();
    const layout = wish.success ? await findLayout(db, yard.id, wish.data.layoutId) : null;
    if (!wish.success || !layout) return refuse(gone('layout'));
    const riding = (await listPairs(db, yard.id)).filter(({ id }) => wish.data.pairIds.includes(id));
    return { ok: true, ...(await fittedStages(db, yard.id, layout, await listHorses(db, yard.id), riding)) };
  });
}

/** Moves a planned lesson to now: it is ridden today instead. */
export async function moveLessonToNowAction(id: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const { db, write, yard } = await yardContext();
    const lesson = await lessonOfId(id);
    if (!lesson) return refuse(gone('lesson'));
    return attempt(may.instruct, async () => {
      const nowMs = Date.now();
      const startsAtMs = instantOf(yardTime(nowMs, yard.timeZone, 'YYYY-MM-DDTHH:mm'), yard.timeZone) ?? nowMs;
      const { name, arenaId, plan, revision } = lesson;
      const edit = { name, arenaId, plan, startsAtMs, base: { revision, plan }, by: null, nowMs };
      await write(tx => changeLesson(tx, yard.id, lesson.id, edit));
      revalidatePath('/ride');
      return { ok: true };
    });

    async function lessonOfId(wished: unknown) {
      const known = IdOrNone.safeParse(wished);
      return known.success && known.data ? findLesson(db, yard.id, known.data) : null;
    }
  });
}

/** Archives a lesson, or restores it. */
export async function archiveLessonAction(id: unknown, archived: unknown, who: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const lessonId = IdOrNone.safeParse(id);
    const wish = z.boolean().safeParse(archived);
    if (!lessonId.success || lessonId.data === null || !wish.success) return refuse(gone('lesson'));
    const { write, yard } = await yardContext();
    const known = lessonId.data;
    await write(tx => archiveLesson(tx, yard.id, known, wish.data, { by: By.parse(who), nowMs: Date.now() }));
    revalidatePath('/ride');
    return { ok: true };
  });
}

const StageToday = StageOnPaper.pick({ focus: true, seat: true, policy: true, stop: true }).partial();

/** Changes a stage on the day: what to think of, the seat, what follows a failure, when it is enough. */
export async function changeStageAction(
  id: unknown,
  stageId: unknown,
  sent: unknown,
  who: unknown,
): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const lessonId = IdOrNone.safeParse(id);
    const changes = StageToday.safeParse(sent);
    if (!changes.success) return formFaults(changes.error);
    const { write, yard } = await yardContext();
    await write(async tx => {
      const lesson = lessonId.success && lessonId.data ? await findLesson(tx, yard.id, lessonId.data) : null;
      if (!lesson?.plan.stages.some(stage => stage.id === stageId))
        throw new DatabaseRefused('This stage is not in the lesson any more.');
      const stages = lesson.plan.stages.map(stage => (stage.id === stageId ? { ...stage, ...changes.data } : stage));
      const { name, arenaId, startsAtMs, revision } = lesson;
      const base = { revision, plan: lesson.plan };
      const own = { by: By.parse(who), nowMs: Date.now() };
      const edit = { name, arenaId, startsAtMs, plan: { ...lesson.plan, stages }, base, ...own };
      await changeLesson(tx, yard.id, lesson.id, edit);
    });
    return { ok: true };
  });
}

const WEEK_DAYS = 7;

/** The same lesson once more, a week later by the yard's clock; what was recorded stays with the first. */
export async function copyLessonAction(id: unknown): Promise<FormOutcome<{ lessonId: string }>> {
  return attempt<{ lessonId: string }>(may.instruct, async () => {
    const lessonId = IdOrNone.safeParse(id);
    const { db, write, yard } = await yardContext();
    const lesson = lessonId.success && lessonId.data ? await findLesson(db, yard.id, lessonId.data) : null;
    if (!lesson) return refuse(gone('lesson'));
    const { name, arenaId, plan } = lesson;
    const startsAtMs = daysLater(lesson.startsAtMs, WEEK_DAYS, yard.timeZone);
    const copied = await write(tx => saveLesson(tx, yard.id, { name, arenaId, startsAtMs, plan }));
    revalidatePath('/ride');
    return { ok: true, lessonId: copied };
  });
}

const ItemId = z.string().min(1).max(80);
const Stop = z.strictObject({ item: ItemId, reversed: z.boolean() });
const Gap = z.strictObject({
  from: Stop,
  to: Stop,
  leg: PlannedLegOnPaper,
  /** What comes behind on the track, and goes along. */
  behind: z.array(ItemId).max(200),
});
type Gap = z.infer<typeof Gap>;
const Adjust = z.strictObject({
  layoutId: Id,
  /** One, or all of a row: each by as much. */
  gaps: z.array(Gap).min(1).max(60),
  byM: z.number().min(-0.5).max(0.5),
});

/** Opens or closes distances by a little between passes: what stands from now on is what is ridden. */
export async function adjustDistanceAction(sent: unknown): Promise<FormOutcome> {
  return attempt<object>(may.help, async () => {
    const asked = Adjust.safeParse(sent);
    if (!asked.success) return refuse('A distance is changed by at most half a metre at a time.');
    const { layoutId, gaps, byM } = asked.data;
    const { db, write, yard } = await yardContext();
    const setup = await settingSetup(db, yard.id, layoutId);
    if (!setup) return refuse(gone('layout'));
    const { layout: planned, standing: kept } = setup;
    const { revision } = setup.yardLayout;
    const stands = kept?.layout ?? planned;
    let now = stands;
    for (const gap of gaps) {
      const changed = gapChanged(now, gap, byM);
      if (changed === 'gone') return refuse('This distance is not in the layout any more.');
      if (changed === 'stuck') return refuse('It cannot be changed along its line: move the piece in the plan.');
      now = changed;
    }
    const typed = { measureBy: 'walls' as const, measures: {}, legs: [] };
    const standing = writeStanding(typed, editsToStand(planned, now.items), now.items);
    await write(tx => keepStanding(tx, yard.id, { id: layoutId, revision }, standing, Date.now()));
    return { ok: true };
  });
}

/** A layout with one gap longer or shorter, what comes behind moved along. */
function gapChanged(stands: Layout, { from, to, leg, behind }: Gap, byM: number): Layout | 'gone' | 'stuck' {
  const isThere = (id: string) => stands.items.some(item => item.id === id && isRidden(item));
  if (!isThere(from.item) || !isThere(to.item) || from.item === to.item) return 'gone';
  const line: ItemTrack = {
    ...{ kind: 'items', id: 'line', name: null, gait: 'course-canter', course: null, passes: 1 },
    ...{ through: [from, to], legs: [leg] },
  };
  const lengthM = reckonItemTrack({ ...stands, horses: [] }, line).legs[0]!.groundM + byM;
  if (!(lengthM > 0)) return 'stuck';
  const moved = moveForGround(stands, line, 0, { by: 'tape', lengthM }, behind.filter(isThere), true);
  return moved.ok ? applyEdits(stands, moved.edits) : 'stuck';
}

/** Keeps work for the rider as the yard's own: under a name that is there already it takes that one's place. */
export async function keepRiderWorkAction(sent: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const work = RiderWorkOnPaper.safeParse(sent);
    if (!work.success) return formFaults(work.error);
    const { write, yard } = await yardContext();
    await write(async tx => {
      const rules = await yardRules(tx, yard.id);
      const riderWork = keepRiderWork(rules.riderWork, work.data);
      if (riderWork.length > MOST_RIDER_WORK)
        throw new DatabaseRefused(
          `A yard keeps ${MOST_RIDER_WORK} of its own: take one out first, where it says how it teaches.`,
        );
      await saveYardRules(tx, yard.id, { ...rules, riderWork });
    });
    revalidatePath('/', 'layout');
    return { ok: true };
  });
}
