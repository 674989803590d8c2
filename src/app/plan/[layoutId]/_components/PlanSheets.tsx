import type { ReckonedTrack, PlannedTrack } from '@/core';
import type { Horse } from '@/data/queries/horses';
import type { OwnExercise } from '@/data/queries/ownExercises';
import dynamic from 'next/dynamic';
import type { OtherArena } from '../_fit/RefitModal';
import type { TeachPair } from '../../_teach/teachPairs';
import type { DeskAct, OverPlan } from '../_state/desk';
import type { EditorGround } from '../_state/shown';
import { itemsOf } from '../_state/thingsShown';
import type { PlanControls } from '../_state/usePlanEditor';

const ShelfDrawer = dynamic(() => import('./ShelfDrawer'), { ssr: false });
const FlatCallSheet = dynamic(() => import('@/components/CallSheet/FlatCallSheet'), { ssr: false });
const CallSheet = dynamic(() => import('@/components/CallSheet/CallSheet'), { ssr: false });
const TeachNow = dynamic(() => import('../../_teach/TeachNow'), { ssr: false });
const ComposeModal = dynamic(() => import('../_fit/ComposeModal'), { ssr: false });
const RefitModal = dynamic(() => import('../_fit/RefitModal'), { ssr: false });
const KeepOnShelf = dynamic(() => import('./KeepOnShelf'), { ssr: false });

type PlanSheetsProps = {
  over: OverPlan | null;
  layoutId: string;
  controls: PlanControls;
  ground: EditorGround;
  horses: Horse[];
  own: OwnExercise[];
  pairs: TeachPair[];
  arenas: OtherArena[];
  /** The track that is looked at. */
  track: PlannedTrack | null;
  reckoned: ReckonedTrack | null;
  selectedIds: readonly string[];
  act: (act: DeskAct) => void;
};

/** What lies over the plan: one thing at a time, and it comes when it is opened. */
export function PlanSheets({ over, layoutId, controls, track, reckoned, act, ...props }: PlanSheetsProps) {
  const { resolved } = controls.shown;
  const { layout } = resolved;
  const onClose = () => act({ do: 'open', over: null });
  switch (over) {
    case null:
      return null;
    case 'shelf':
      return (
        <ShelfDrawer
          {...{ controls, ground: props.ground, horses: props.horses, own: props.own, onClose }}
          onPlaced={(placed, session) => {
            act({ do: 'select', selected: placed });
            act({ do: 'look at track', track: session ?? placed.ids[0] ?? null });
          }}
        />
      );
    case 'call':
      if (track?.kind === 'figures') return <FlatCallSheet {...{ layout, track, onClose }} />;
      return track && reckoned?.kind === 'items' ? <CallSheet {...{ layout, track, reckoned, onClose }} /> : null;
    case 'teach':
      return (
        <TeachNow
          {...{ layoutId, horses: props.horses, pairs: props.pairs, onClose }}
          groupIds={controls.present.plan.groupIds}
        />
      );
    case 'refit':
      return <RefitModal {...{ controls, arenas: props.arenas, onClose }} />;
    case 'compose':
      return <ComposeModal {...{ controls, onClose }} />;
    case 'keep':
      return <KeepOnShelf items={itemsOf(resolved, props.selectedIds)} tracks={layout.tracks} onClose={onClose} />;
  }
}
