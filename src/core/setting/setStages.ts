import type { Layout } from '../layout/layout';
import { exerciseLabel, type ResolvedExercise, type ResolvedPlan } from '../plan/resolvePlan';
import { builtLayout } from '../question/builtLayout';
import { stageState } from '../question/stageState';

/** A layout as it is built for one stage of one of its exercises; what is not of that exercise stands as drawn. */
export type SetStage = {
  /** Tells it from the others in an address. */
  key: string;
  name: string;
  layout: Layout;
  /** Whether it is built as it is drawn. */
  isAsDrawn: boolean;
};

type Resolved = Pick<ResolvedPlan, 'layout' | 'exercises'>;

/** The stages that a plan can be set for, each way of building it once, in the order in which they are ridden. */
export function setStages({ layout, exercises }: Resolved): SetStage[] {
  const all = exercises.flatMap(exercise =>
    exercise.laid.stages.map((stage, index) => ({
      key: `${exercise.placed.id}.${index}`,
      name: nameOf(exercises, exercise, stage.name),
      layout: withCounts(builtLayout(layout, stageState(exercise.laid, stage)), exercise, stage.asked),
    })),
  );
  const seen = new Set<string>();
  const drawn = JSON.stringify(layout.items);
  return all.flatMap(stage => {
    const built = JSON.stringify(stage.layout.items);
    if (stage.layout.items.length === 0 || seen.has(built)) return [];
    seen.add(built);
    return [{ ...stage, isAsDrawn: built === drawn }];
  });
}

function nameOf(exercises: readonly ResolvedExercise[], { placed }: ResolvedExercise, stage: string): string {
  return exercises.length > 1 ? `${exerciseLabel(exercises, placed.id)}: ${stage}` : stage;
}

/** The counts that a stage asks are asked on the track of its exercise. */
function withCounts(layout: Layout, { laid }: ResolvedExercise, asked: readonly (number | null)[] | null): Layout {
  const own = laid.tracks[0]?.id;
  if (asked === null || own === undefined) return layout;
  const tracks = layout.tracks.map(track =>
    track.kind === 'items' && track.id === own && track.legs.length === asked.length
      ? { ...track, legs: track.legs.map((leg, at) => ({ ...leg, asked: asked[at] ?? null })) }
      : track,
  );
  return { ...layout, tracks };
}
