import { present } from '@/data/present';
import { arenaOf, listArenas } from '@/data/queries/arenas';
import { listHorses } from '@/data/queries/horses';
import { listPairs } from '@/data/queries/pairs';
import { listKit } from '@/data/queries/kit';
import { yardRules } from '@/data/queries/settings';
import { findLayout } from '@/data/queries/layouts';
import { listOwnExercises } from '@/data/queries/ownExercises';
import { exerciseGround, planCautions, layOutPlaced, reckonLayout, resolvePlan } from '@/core';
import { kitCounts, planGround } from '@/data/queries/planGround';
import type { Metadata } from 'next';
import { notFound } from 'next/navigation';
import { yardCautionLimits } from '../../_server/yardCautionLimits';
import { may } from '../../_server/access/rules';
import { yardContext } from '../../_server/yardContext';
import { riddenHere } from '../../_server/riddenHere';
import { riddenStrides } from '../../_server/yardStrides';
import { yardTime } from '../../_server/yardTime';
import { nowMs } from '@/components/nowMs';
import { layoutTouches } from '@/data/queries/touches';
import { teachPairs } from '../_teach/teachPairs';
import { PlanEditor } from './_components/PlanEditor';

export const metadata: Metadata = { title: 'Plan' };

/** What was ridden over a layout stays as it was; what is planned over it is ridden as it is drawn. */
function touchesWords(
  { ridden, lastMs, coming }: Awaited<ReturnType<typeof layoutTouches>>,
  timeZone: string,
): string | null {
  const last = lastMs === null ? '' : `, last on ${yardTime(lastMs, timeZone, 'D MMM YYYY')}`;
  const words = [
    ...(ridden > 0 ? [`Ridden ${ridden === 1 ? 'once' : `${ridden} times`}${last}: that stays as it was.`] : []),
    ...(coming.length > 0
      ? [`What you change here is ridden in ${coming.map(name => `“${name}”`).join(' and ')}.`]
      : []),
  ];
  return words.length === 0 ? null : words.join(' ');
}

export default async function PlanPage({ params }: { params: Promise<{ layoutId: string }> }) {
  const { layoutId } = await params;
  const { db, yard } = await yardContext(may.instruct);
  const layout = await findLayout(db, yard.id, layoutId);
  if (!layout) notFound();
  const [all, kit, own, rules] = await Promise.all([
    listHorses(db, yard.id),
    listKit(db, yard.id),
    listOwnExercises(db, yard.id),
    yardRules(db, yard.id),
  ]);
  // A horse that was archived stays in the layouts that are made for it.
  const { groupIds, exercises } = layout.plan;
  const named = new Set([...groupIds, ...exercises.flatMap(({ horseIds }) => horseIds ?? [])]);
  const horses = all.filter(({ id, archived }) => !archived || named.has(id));
  const ground = planGround(layout.name, layout.arena, horses, kitCounts(kit), rules);
  const made = resolvePlan(layout.plan, ground);
  const limits = await yardCautionLimits(db, yard.id);
  const cautions = planCautions(made, reckonLayout(made.layout), limits);
  const laid = exercises.map(one => [one.id, layOutPlaced(one, exerciseGround(layout.plan, one, ground))] as const);
  return (
    <PlanEditor
      key={layout.id}
      layoutId={layout.id}
      name={layout.name}
      revision={layout.revision}
      plan={layout.plan}
      arena={layout.arena}
      arenas={present(await listArenas(db, yard.id))
        .filter(({ id }) => id !== layout.arena.id)
        .map(one => ({ id: one.id, name: one.name, arena: arenaOf(one) }))}
      horses={horses}
      pairs={teachPairs(present(await listPairs(db, yard.id)))}
      ground={ground}
      own={own}
      lately={await riddenStrides(db, yard)}
      riddenLegs={await riddenHere(db, yard, layout.id)}
      touches={touchesWords(await layoutTouches(db, yard.id, layoutId, nowMs()), yard.timeZone)}
      made={{ laid: Object.fromEntries(laid), cautions, limits }}
    />
  );
}
