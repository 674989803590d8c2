'use client';

import { useLengths, useSay } from '@/components/Lengths/LengthsProvider';
import { newId } from '@/components/newId';
import { sortedAloud, useSortSensors } from '@/components/sorting';
import {
  callWords,
  type CautionLimits,
  eveningCircle,
  type ExerciseParams,
  type FigureTrack,
  findRecipe,
  flatCalls,
  gaitWord,
  horseSpeedMPerMin,
  inSessionOrder,
  type Lack,
  measureSession,
  placeExercise,
  type ResolvedExercise,
  sessionBalance,
  type SessionMeasure,
  type TrackGait,
} from '@/core';
import { closestCenter, DndContext } from '@dnd-kit/core';
import { arrayMove, SortableContext, useSortable, verticalListSortingStrategy } from '@dnd-kit/sortable';
import { CSS } from '@dnd-kit/utilities';
import { ActionIcon, Button, Stack, Text, Title } from '@mantine/core';
import { IconGripVertical } from '@tabler/icons-react';
import type { Pointed } from '../../_state/selection';
import type { PlanControls } from '../../_state/usePlanEditor';
import classes from './SessionReading.module.css';

type SessionReadingProps = {
  controls: PlanControls;
  track: FigureTrack;
  onPoint: (pointed: Pointed) => void;
};

/** A session of figures: in the order ridden, dragged into another, and what it is for the horses, rein against rein. */
export function SessionReading({ controls, track, onPoint }: SessionReadingProps) {
  const { resolved, tracks } = controls.shown;
  const { layout } = resolved;
  const owners = resolved.exercises.filter(
    ({ placed, laid }) => placed.session === track.id || laid.tracks.some(({ id }) => id === track.id),
  );
  const reckoned = tracks.find(({ id }) => id === track.id);
  const session = reckoned?.kind === 'figures' && reckoned.session.ok ? reckoned.session : null;
  const measure = reckoned?.kind === 'figures' ? reckoned.measure : null;
  const byHorse = session
    ? layout.horses.map(horse => ({
        horse: horse.name,
        measure: measureSession(layout.arena, session.pieces, gait => horseSpeedMPerMin(horse, gait)),
      }))
    : [];
  return (
    <Stack gap="xs">
      <FigureOrder {...{ controls, track, owners, onPoint }} />
      {measure && <Balance {...{ measure, byHorse }} most={controls.limits.smallCircle} />}
      {measure && <Missing {...{ controls, track, owners, measure }} />}
    </Stack>
  );
}

type OrderProps = Pick<SessionReadingProps, 'controls' | 'track' | 'onPoint'> & { owners: readonly ResolvedExercise[] };

function FigureOrder({ controls, track, owners, onPoint }: OrderProps) {
  const say = useSay();
  const sensors = useSortSensors();
  const ids = owners.map(({ placed }) => placed.id);
  const { arena } = controls.shown.resolved.layout;
  const calls = flatCalls(arena, track.figures, track.gait);
  // Its own figures, by their places in the session.
  const own = owners.map(({ laid }) => {
    const figures = laid.tracks.flatMap(one => (one.kind === 'figures' ? one.figures.map(({ id }) => id) : []));
    return track.figures.flatMap(({ id }, index) => (figures.includes(id) ? [index] : []));
  });
  return (
    <DndContext
      id="figures"
      accessibility={{
        announcements: sortedAloud(
          id => owners.find(({ placed }) => placed.id === id)?.guidance.title ?? '',
          id => ids.indexOf(String(id)),
        ),
      }}
      sensors={sensors}
      collisionDetection={closestCenter}
      onDragEnd={({ active, over }) => {
        if (!over || active.id === over.id) return;
        const [from, to] = [ids.indexOf(String(active.id)), ids.indexOf(String(over.id))];
        controls.change(plan => inSessionOrder(plan, arrayMove(ids, from, to)));
      }}
    >
      <SortableContext items={ids} strategy={verticalListSortingStrategy}>
        <ol className={classes.order} aria-label="Figures in the order ridden">
          {owners.map(({ placed, guidance }, index) => (
            <FigureRow
              key={placed.id}
              id={placed.id}
              title={say(placed.name ?? guidance.title)}
              isSecond={(own[index]![0] ?? 0) % 2 === 1}
              calls={own[index]!.map(at => calls[at]!)}
              onPoint={on => onPoint({ items: [], leg: null, ...(on ? { figures: own[index]! } : {}) })}
            />
          ))}
        </ol>
      </SortableContext>
    </DndContext>
  );
}

type RowProps = {
  id: string;
  title: string;
  isSecond: boolean;
  calls: ReturnType<typeof flatCalls>;
  onPoint: (on: boolean) => void;
};

function FigureRow({ id, title, isSecond, calls, onPoint }: RowProps) {
  const say = useSay();
  const { attributes, listeners, setNodeRef, transform, transition } = useSortable({ id });
  return (
    <li
      ref={setNodeRef}
      style={{ transform: CSS.Translate.toString(transform), transition }}
      className={classes.row}
      data-second={isSecond || undefined}
      onPointerEnter={() => onPoint(true)}
      onPointerLeave={() => onPoint(false)}
      onFocus={() => onPoint(true)}
      onBlur={() => onPoint(false)}
    >
      <ActionIcon variant="subtle" color="slate" {...attributes} {...listeners} aria-label={`Move ${title}`}>
        <IconGripVertical size={18} />
      </ActionIcon>
      <div>
        <strong>{title}</strong>
        {calls.map((call, index) => (
          <Text key={index} size="xs">
            {say(callWords(call))}
          </Text>
        ))}
      </div>
    </li>
  );
}

const minutesWords = (minutes: number) => {
  const seconds = Math.round(minutes * 60);
  return seconds < 60 ? `${seconds} s` : `${Math.floor(seconds / 60)} min ${seconds % 60} s`;
};

type BalanceProps = {
  measure: SessionMeasure;
  byHorse: { horse: string; measure: SessionMeasure }[];
  /** What the yard allows on small circles, on each rein. */
  most: CautionLimits['smallCircle'];
};

/** Rein against rein in each gait as bars, then what else it is; each horse by its own speed. */
function Balance({ measure, byHorse, most: limit }: BalanceProps) {
  const { format, say } = useLengths();
  const { workMetres, workMinutes, restMinutes, changesOfRein, transitions, onRailShare, smallestRadiusM } = measure;
  const small = measure.smallCircleMinutes.left + measure.smallCircleMinutes.right;
  const most = Math.max(1, ...Object.values(workMetres).flatMap(({ left, right }) => [left, right]));
  return (
    <section aria-label="The balance">
      <Title order={4} size="h6">
        The balance
      </Title>
      <table className={classes.balance}>
        <thead>
          <tr>
            <th scope="col">Work</th>
            <th scope="col">Left rein</th>
            <th scope="col">Right rein</th>
          </tr>
        </thead>
        <tbody>
          {Object.entries(workMetres).map(([gait, metres]) => (
            <tr key={gait}>
              <th scope="row">{say(gaitWord(gait as TrackGait))}</th>
              {(['left', 'right'] as const).map(rein => (
                <td key={rein}>
                  <span
                    className={classes.bar}
                    style={{ width: `${(metres[rein] / most) * 100}%` }}
                    aria-hidden="true"
                  />
                  {metres[rein] < 0.005
                    ? 'none'
                    : `${format(metres[rein])}, ${minutesWords(workMinutes[gait as keyof typeof workMinutes]![rein])}`}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </table>
      <Text size="sm">
        {minutesWords(measure.minutes)} in all, {minutesWords(restMinutes)} of it rest; {changesOfRein}{' '}
        {changesOfRein === 1 ? 'change' : 'changes'} of rein, {transitions}{' '}
        {transitions === 1 ? 'transition' : 'transitions'}, {Math.round(onRailShare * 100)} % on the rail
        {smallestRadiusM !== null && `, tightest turn ${format(smallestRadiusM)}`}
        {small > 0.01 &&
          `, ${minutesWords(small)} on circles of ${format(limit.diameterM)} and less, of ${limit.minutes} min at most`}
        .
      </Text>
      {byHorse.length > 0 && (
        <Text size="xs">
          {byHorse
            .map(({ horse, measure: own }) => {
              const ownSmall = own.smallCircleMinutes.left + own.smallCircleMinutes.right;
              const circles = ownSmall > 0.01 ? `, ${minutesWords(ownSmall)} of small circles` : '';
              return `${horse} ${minutesWords(own.minutes)}${circles}`;
            })
            .join('; ')}
        </Text>
      )}
    </section>
  );
}

type MissingProps = Pick<SessionReadingProps, 'controls' | 'track'> & {
  owners: readonly ResolvedExercise[];
  measure: SessionMeasure;
};

/** What is missing for an even session, with a figure that would even it. */
function Missing({ controls, track, owners, measure }: MissingProps) {
  const say = useSay();
  const { arena } = controls.shown.resolved.layout;
  const { lacks, onRailShare } = sessionBalance(measure);
  if (lacks.length === 0 && onRailShare === null)
    return <Text size="sm">Both reins have as much to do in each gait.</Text>;
  return (
    <ul className={classes.missing} aria-label="What is missing">
      {lacks.map(lack => {
        const { diameterM, rounds } = eveningCircle(lack, arena.widthM);
        const most = rounds > MOST_ROUNDS ? mostWork(owners, track, controls, lack) : null;
        const gait = say(gaitWord(lack.gait));
        const offers = ['walk', 'trot', 'canter'].includes(lack.gait);
        return (
          <li key={lack.gait}>
            The {lack.rein} rein has {Math.round(lack.lessShare * 100)} % less {gait}.{' '}
            {most && (
              <Button
                {...LONG}
                onClick={() =>
                  addToSession(controls, owners, {
                    ...{ kind: most.placed.kind, rein: lack.rein },
                    ...{ horseIds: most.placed.horseIds, params: most.params },
                  })
                }
              >
                Ride “{say(most.placed.name ?? most.guidance.title)}” on the {lack.rein} rein too
              </Button>
            )}
            {offers && !most && (
              <Button
                {...LONG}
                onClick={() =>
                  addToSession(controls, owners, {
                    ...{ kind: 'circle', rein: lack.rein, horseIds: null },
                    params: { diameterM, rounds, gait: lack.gait },
                  })
                }
              >
                Add {rounds === 1 ? 'a' : `${rounds} rounds of a`} {diameterM} m circle on the {lack.rein} rein in{' '}
                {gait}
              </Button>
            )}
          </li>
        );
      })}
      {onRailShare !== null && (
        <li>
          {Math.round(onRailShare * 100)} % is ridden along the rail: leave it for a line or a loop, it does the
          steering for the rider.
        </li>
      )}
    </ul>
  );
}

const LONG = {
  ...{ size: 'compact-xs', variant: 'default', h: 'auto' },
  styles: { label: { whiteSpace: 'normal' } },
} as const;

/** Nobody rides round and round to even what a whole figure left uneven. */
const MOST_ROUNDS = 3;

/** The exercise with the most ground in a gait on the rein that has more. */
function mostWork(
  owners: readonly ResolvedExercise[],
  track: FigureTrack,
  controls: PlanControls,
  { gait, rein }: Lack,
): ResolvedExercise | null {
  const reckoned = controls.shown.tracks.find(({ id }) => id === track.id);
  if (reckoned?.kind !== 'figures' || !reckoned.session.ok) return null;
  const { pieces, figureOf } = reckoned.session;
  const groundM = ({ laid }: ResolvedExercise) => {
    const own = new Set(laid.tracks.flatMap(one => (one.kind === 'figures' ? one.figures.map(({ id }) => id) : [])));
    return pieces.reduce((sum, piece, index) => {
      const figure = figureOf[index] ?? null;
      const isOwn = figure !== null && own.has(track.figures[figure]!.id);
      return isOwn && piece.kind === 'stretch' && piece.gait === gait && piece.rein !== rein
        ? sum + piece.chain.lengthM
        : sum;
    }, 0);
  };
  return [...owners].sort((a, b) => groundM(b) - groundM(a))[0] ?? null;
}

/** One more exercise at the end of a session; figures that were a track by themselves become the beginning of one. */
function addToSession(
  controls: PlanControls,
  owners: readonly ResolvedExercise[],
  wanted: { kind: string; rein: Lack['rein']; horseIds: string[] | null; params: ExerciseParams },
): void {
  const { kind, rein, horseIds, params } = wanted;
  const recipe = findRecipe(kind);
  if (!recipe) return;
  const { arena, horses } = controls.shown.resolved.layout;
  const own = new Set(owners.map(({ placed }) => placed.id));
  controls.change(plan => {
    const session = owners.find(({ placed }) => placed.session !== null)?.placed.session ?? newId();
    const begun = {
      ...plan,
      exercises: plan.exercises.map(one => (own.has(one.id) ? { ...one, session } : one)),
    };
    const placed = placeExercise(begun, { arena, horses }, { id: newId(), recipe, rein, horseIds, session });
    const exercises = placed.plan.exercises.map(one =>
      one.id === placed.id ? { ...one, params: { ...one.params, ...params } } : one,
    );
    return { ...placed.plan, exercises };
  });
}
