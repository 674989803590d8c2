'use client';

import { pageYard } from '@/components/pageYard';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { newId } from '@/components/newId';
import { LayoutDrawing } from '@/components/Sand/LayoutDrawing';
import { Sand, sandTextM } from '@/components/Sand/Sand';
import { sandView } from '@/components/Sand/sandView';
import { postJson } from '@/components/sync/post';
import {
  isKept,
  layoutLabels,
  piecesOf,
  reckonLayout,
  refittedPlan,
  type Arena,
  type Refit,
  type RefitHow,
} from '@/core';
import { writePlan } from '@/files/planPaper';
import { Modal } from '@/components/Modal/Modal';
import { Button, Group, Select, Stack, Text, TextInput } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import type { PlanControls } from '../_state/usePlanEditor';
import classes from './RefitModal.module.css';
import type { AskRefit, RefitSaid } from './refit.worker';
import { useAnswer } from '@/components/worker/useAnswer';

/** A sand that a layout may go to. */
export type OtherArena = { id: string; name: string; arena: Arena };

type RefitModalProps = { controls: PlanControls; arenas: readonly OtherArena[]; onClose: () => void };

const HOW: Record<RefitHow, string> = {
  'as it lay': 'It goes there as it lies.',
  turned: 'It goes there turned.',
  'drawn together': 'There is less room: it is drawn together, and fitted again.',
};

/** A layout taken to another sand: looked at first, then kept as a copy there. */
export default function RefitModal({ controls, arenas, onClose }: RefitModalProps) {
  const router = useRouter();
  const { shown, present, limits } = controls;
  const [chosen, setChosen] = useState<OtherArena | null>(null);
  const [name, setName] = useState('');
  const [problem, setProblem] = useState<string | null>(null);
  const [saveId] = useState(newId);
  const start = () => new Worker(new URL('./refit.worker.ts', import.meta.url), { type: 'module' });
  const { answer, ask } = useAnswer<AskRefit, RefitSaid>(start);
  const choose = (id: string | null) => {
    const other = arenas.find(one => one.id === id) ?? null;
    setChosen(other);
    setProblem(null);
    if (!other) return;
    const { layout, ownerOf } = shown.resolved;
    setName(`${present.name.slice(0, 58 - other.name.length)}, ${other.name}`.slice(0, 60));
    const pieces = piecesOf(layout, ownerOf, []);
    ask({ layout, arena: other.arena, pieces, horseIds: layout.horses.map(horse => horse.id), limits });
  };
  const keep = async (refit: Refit, arenaId: string) => {
    setProblem(null);
    const plan = writePlan(refittedPlan(present.plan, refit));
    const posted = await postJson('/api/layouts', { name: name.trim(), arenaId, plan, saveId }, { yard: pageYard() });
    if (posted.kind === 'refused') return setProblem(posted.problem);
    if (posted.kind === 'no-answer' || typeof posted.body.id !== 'string')
      return setProblem('The server does not answer: nothing was copied. Try again.');
    router.push(`/plan/${posted.body.id}`);
  };
  return (
    <Modal opened onClose={onClose} title="Take it to another arena" size="lg">
      <Stack gap="sm">
        <Text size="sm">
          A copy of this layout on other sand. It keeps its distances where there is room for them; this layout stays as
          it is.
        </Text>
        <Select
          label="Arena"
          placeholder="Choose where"
          data={arenas.map(one => ({ value: one.id, label: one.name }))}
          value={chosen?.id ?? null}
          onChange={choose}
        />
        {answer.kind === 'running' && <Text role="status">Looking where it goes …</Text>}
        {answer.kind === 'failed' && (
          <Text role="alert">
            It could not be reckoned here: nothing was copied. Load the page again and try once more.
          </Text>
        )}
        {answer.kind === 'done' && chosen && (
          <>
            <Lies refit={answer.said} />
            <TextInput
              label="Name of the copy"
              maxLength={60}
              value={name}
              onChange={event => setName(event.currentTarget.value)}
            />
            {problem && <Text role="alert">{problem}</Text>}
            <Group>
              <Button disabled={name.trim() === ''} onClick={() => void keep(answer.said, chosen.id)}>
                Make the copy there
              </Button>
              <Button variant="default" onClick={onClose}>
                Cancel
              </Button>
            </Group>
          </>
        )}
      </Stack>
    </Modal>
  );
}

/** How it lies there: drawn, and which distances changed. */
function Lies({ refit }: { refit: Refit }) {
  const { format } = useLengths();
  const { layout, legs, alarms, how } = refit;
  const view = sandView(layout.arena, 'along');
  const tracks = useMemo(() => reckonLayout(layout), [layout]);
  const { short } = layoutLabels(layout);
  const changed = legs.filter(leg => !isKept(leg));
  return (
    <div className={classes.lies}>
      <Text size="sm" fw={600} role="status">
        {HOW[how]} {legs.length - changed.length} of {legs.length} distances are kept
        {alarms > 0 ? `; ${alarms} ${alarms === 1 ? 'caution' : 'cautions'} more than here` : ''}.
      </Text>
      <Sand arena={layout.arena} view={view} label="How it lies there" textM={sandTextM(layout.arena)}>
        <LayoutDrawing layout={layout} tracks={tracks} view={view} textM={sandTextM(layout.arena)} />
      </Sand>
      {changed.length > 0 && (
        <table>
          <caption>Distances that change</caption>
          <tbody>
            {changed.map(({ track, leg, from, to, beforeM, afterM }) => (
              <tr key={`${track} ${leg}`}>
                <th scope="row">
                  {short(from)} to {short(to)}
                </th>
                <td>{format(afterM)}</td>
                <td>was {format(beforeM)}</td>
              </tr>
            ))}
          </tbody>
        </table>
      )}
    </div>
  );
}
