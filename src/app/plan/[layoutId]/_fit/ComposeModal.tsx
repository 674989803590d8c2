'use client';

import { LengthField } from '@/components/LengthField/LengthField';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { newId } from '@/components/newId';
import { LayoutDrawing } from '@/components/Sand/LayoutDrawing';
import { Sand, sandTextM } from '@/components/Sand/Sand';
import { sandView } from '@/components/Sand/sandView';
import { composedPlan, reckonLayout, USUAL_HORSE, type ComposeWish, type Layout, type Proposal } from '@/core';
import { Modal } from '@/components/Modal/Modal';
import { Button, Group, NumberInput, Progress, Stack, Text } from '@mantine/core';
import { useMemo, useState } from 'react';
import type { PlanControls } from '../_state/usePlanEditor';
import classes from './ComposeModal.module.css';
import type { ComposeSaid } from './compose.worker';
import { strokesWords } from './strokesWords';
import { useAnswer } from '@/components/worker/useAnswer';

type ComposeModalProps = { controls: PlanControls; onClose: () => void };

const LEAST_FENCES = 3;
const MOST_FENCES = 12;
/** Whole courses proposed for the group on this sand: three that differ, each taken as any layout is. */
export default function ComposeModal({ controls, onClose }: ComposeModalProps) {
  const { layout } = controls.shown.resolved;
  const [fences, setFences] = useState(8);
  const [heightM, setHeightM] = useState(0.6);
  const [seed, setSeed] = useState(1);
  const start = () => new Worker(new URL('./compose.worker.ts', import.meta.url), { type: 'module' });
  const { answer, ask, stop } = useAnswer<ComposeWish, ComposeSaid>(start);
  const compose = (next: number) => {
    setSeed(next);
    ask({ ...wishFor(layout), fences, heightM, limits: controls.limits, seed: next });
  };
  const take = (proposal: Proposal) => {
    controls.change(plan => composedPlan(plan, proposal, newId));
    onClose();
  };
  const said = answer.kind === 'done' || answer.kind === 'running' ? answer.said : null;
  return (
    <Modal opened onClose={onClose} title="Compose a course" size="70rem">
      <Stack gap="sm">
        <Text size="sm">
          For {layout.horses.length === 0 ? 'a horse of 160 cm' : layout.horses.map(({ name }) => name).join(', ')} on
          this sand, with the kit there is: lines in counts that suit, and nothing cautioned.
          {layout.items.length > 0 && ' What you take stands in place of what lies here; Undo brings that back.'}
        </Text>
        <Group align="flex-end">
          <NumberInput
            label="Fences"
            w={110}
            min={LEAST_FENCES}
            max={MOST_FENCES}
            clampBehavior="strict"
            allowDecimal={false}
            value={fences}
            onChange={value => typeof value === 'number' && setFences(value)}
          />
          <LengthField
            label="Height"
            lengthM={heightM}
            minM={0.3}
            maxM={1.4}
            onCommit={value => {
              setHeightM(value);
              return null;
            }}
          />
          {answer.kind === 'running' ? (
            <Button variant="default" onClick={stop}>
              Stop, and take what there is
            </Button>
          ) : (
            <Button disabled={fences < LEAST_FENCES} onClick={() => compose(said ? seed + 1 : seed)}>
              {said ? 'Three others' : 'Compose'}
            </Button>
          )}
        </Group>
        {answer.kind === 'running' && <Progress value={(said?.share ?? 0) * 100} aria-label="How far it is" />}
        {answer.kind === 'failed' && (
          <Text role="alert">
            It could not be reckoned here: nothing was changed. Load the page again and try once more.
          </Text>
        )}
        {answer.kind === 'done' && answer.said.proposals.length === 0 && (
          <Text role="status">
            No course of {fences} goes on this sand for these horses without a caution: try fewer fences, or fewer
            horses at once.
          </Text>
        )}
        <div className={classes.proposals}>
          {(said?.proposals ?? []).map((proposal, index) => (
            <Offer key={index} proposal={proposal} number={index + 1} onTake={() => take(proposal)} />
          ))}
        </div>
      </Stack>
    </Modal>
  );
}

/** What a course is composed for: the horses, the sand, the kit and what stands of a layout. */
function wishFor({
  arena,
  fall,
  horses,
  school,
  kit,
  items,
  leanRad,
}: Layout): Omit<ComposeWish, 'fences' | 'heightM'> {
  return {
    ...{ arena, fall, school, kit, standing: items, horses: horses.length > 0 ? horses : [USUAL_HORSE] },
    ...(leanRad === undefined ? {} : { leanRad }),
  };
}

function Offer({ proposal, number, onTake }: { proposal: Proposal; number: number; onTake: () => void }) {
  const { format } = useLengths();
  const { layout, strokes, changesOfRein, lengthM, carriedM } = proposal;
  const view = sandView(layout.arena, 'along');
  const tracks = useMemo(() => reckonLayout(layout), [layout]);
  const textM = sandTextM(layout.arena) * 1.6;
  const numbers = new Map(layout.items.map(({ id }, index) => [id, index + 1] as const));
  return (
    <section aria-label={`Course ${number}`} className={classes.offer}>
      <Sand arena={layout.arena} view={view} label={`Course ${number}, from above`} textM={textM}>
        <LayoutDrawing layout={layout} tracks={tracks} view={view} textM={textM} labels={numbers} />
      </Sand>
      <Text size="sm">
        {capital(strokesWords(strokes))}; {changesOfRein} {changesOfRein === 1 ? 'change' : 'changes'} of rein,{' '}
        {format(lengthM)}
        {carriedM > 0 && `; what stands is carried ${format(carriedM)}`}.
      </Text>
      <Button size="xs" onClick={onTake}>
        Take course {number}
      </Button>
    </section>
  );
}

const capital = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
