'use client';

import { CautionList } from '@/components/Caution/CautionList';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { RowRibbon } from '@/components/Sand/RowRibbon';
import { profileStride, placeRow, rowFootfalls, rowRoomCautions, ENTRY_OF_GAIT, type PlacedRow } from '@/core';
import type { NamedArena } from '@/data/queries/arenas';
import type { Horse } from '@/data/queries/horses';
import { readPlan, type PlanOnPaper } from '@/files/planDocument';
import { ActionIcon, Group, Text, Tooltip } from '@mantine/core';
import { useHotkeys } from '@mantine/hooks';
import { IconArrowBackUp, IconArrowForwardUp } from '@tabler/icons-react';
import { useMemo, useState } from 'react';
import { dropDraft } from '../_state/draft';
import { useDraft } from '../_state/useDraft';
import { useAutosave } from '../_state/useAutosave';
import { useFreshHorses } from '../_state/useFreshHorses';
import { usePlan } from '../_state/usePlan';
import { HorseFits } from './HorseFits';
import { LayoutName } from './LayoutName';
import classes from './PlanEditor.module.css';
import { RowReading } from './RowReading';
import { SandBoard } from './SandBoard';
import { SaveNote } from './SaveNote';
import { StaleNotice } from './StaleNotice';

type PlanEditorProps = {
  layoutId: string;
  name: string;
  revision: number;
  planOnPaper: PlanOnPaper;
  arena: NamedArena;
  horses: Horse[];
};

/** The plan of a layout: the sand, the ribbon under it, and the reading beside it. */
export function PlanEditor({ layoutId, name, revision, planOnPaper, arena, horses }: PlanEditorProps) {
  const { format } = useLengths();
  const context = useMemo(() => ({ arena, horses }), [arena, horses]);
  // The page hands the layout again when the server re-renders; the editor holds what came first.
  const [first] = useState(() => planToEdit(name, planOnPaper));
  const [firstRevision] = useState(revision);
  useFreshHorses();
  const plan = usePlan(first, context);
  const status = useAutosave(layoutId, firstRevision, first, plan.present);
  const outdated = useDraft(layoutId, firstRevision, plan.put);

  useHotkeys([
    ['mod+Z', () => plan.undo()],
    ['mod+shift+Z', () => plan.redo()],
    ['mod+Y', () => plan.redo()],
  ]);

  const horse = horses.find(({ id }) => id === plan.row.horseId);
  const [dragged, setDragged] = useState<PlacedRow | null>(null);
  if (outdated) return <StaleNotice arenaId={arena.id} mine={outdated} onDropMine={() => dropDraft(layoutId)} />;
  if (!horse) return <MissingHorse plan={plan} horses={horses} />;
  const placed = dragged ?? placeRow(arena, plan.row, horse);
  const { spacingM } = placed.spacing;
  const stepM = profileStride(horse, ENTRY_OF_GAIT[plan.row.gait])!.normalM - placed.spacing.raisedCloserM;
  const footfallsM = rowFootfalls(placed.poles.length - 1, spacingM, stepM);

  return (
    <>
      <div className={classes.head}>
        <LayoutName name={plan.present.name} onRename={renamed => plan.put({ ...plan.present, name: renamed })} />
        <Group gap="xs">
          <SaveNote status={status} />
          <Tooltip label="Undo (Ctrl Z)">
            <ActionIcon variant="default" size="lg" aria-label="Undo" disabled={!plan.canUndo} onClick={plan.undo}>
              <IconArrowBackUp size={18} />
            </ActionIcon>
          </Tooltip>
          <Tooltip label="Redo (Ctrl Y)">
            <ActionIcon variant="default" size="lg" aria-label="Redo" disabled={!plan.canRedo} onClick={plan.redo}>
              <IconArrowForwardUp size={18} />
            </ActionIcon>
          </Tooltip>
          <LinkButton href={`/set/${layoutId}`} variant="default">
            Set it out
          </LinkButton>
        </Group>
      </div>
      {status.kind === 'stale' && (
        <StaleNotice arenaId={arena.id} mine={plan.present} onDropMine={() => dropDraft(layoutId)} />
      )}
      <p className={classes.phoneHint}>Planning wants a tablet or a desk. Here is how the layout lies.</p>
      <div className={classes.desk}>
        <div className={classes.drawing}>
          <SandBoard
            arena={arena}
            plan={plan}
            horse={horse}
            placed={placed}
            footfallsM={footfallsM}
            onDrag={setDragged}
          />
          {placed.misfit && (
            <Text c="chestnut.8" fw={600} size="sm" role="alert">
              {placed.misfit}
            </Text>
          )}
          <div className={classes.ribbon}>
            <RowRibbon
              poles={placed.poles}
              spacingM={spacingM}
              footfallsM={footfallsM}
              format={format}
              label={`${placed.poles.length} poles, ${format(spacingM)} apart, with ${horse.name}’s steps`}
            />
          </div>
          <HorseFits horses={horses} gait={plan.row.gait} spacingM={spacingM} chosenId={horse.id} />
        </div>
        <div className={classes.reading}>
          <RowReading plan={plan} arena={arena} horses={horses} horse={horse} placed={placed} />
          <CautionList cautions={rowRoomCautions(arena, placed.poles, plan.row.gait)} />
        </div>
      </div>
    </>
  );
}

function planToEdit(name: string, planOnPaper: PlanOnPaper) {
  const read = readPlan(planOnPaper);
  if (!read.ok) throw new Error(read.reason);
  return { name, plan: read.plan };
}

function MissingHorse({ plan, horses }: { plan: ReturnType<typeof usePlan>; horses: Horse[] }) {
  return (
    <div role="alert">
      <p>The horse this row was set for is not in the yard any more. Choose the horse to set it for:</p>
      <Group>
        {horses.map(({ id, name }) => (
          <button key={id} type="button" onClick={() => plan.change({ kind: 'horse', horseId: id })}>
            {name}
          </button>
        ))}
      </Group>
    </div>
  );
}
