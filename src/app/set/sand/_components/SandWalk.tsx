'use client';

import { CountWalk } from '@/components/CountWalk/CountWalk';
import { WalkedField } from '@/components/CountWalk/WalkedField';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { newId } from '@/components/newId';
import { LayoutDrawing } from '@/components/Sand/LayoutDrawing';
import { Sand, sandTextM } from '@/components/Sand/Sand';
import { sandView } from '@/components/Sand/sandView';
import { useDraft } from '@/components/sync/useDraft';
import {
  layoutLabels,
  parseLength,
  reckonLayout,
  walkedSand,
  wallName,
  type Arena,
  type Layout,
  type LayoutHorse,
  type WalkedLine,
} from '@/core';
import { WALKED_CHOICES, WALKED_FROM } from '@/files/sandForm';
import { Alert, Button, MultiSelect, Select, TextInput } from '@mantine/core';
import { IconTrash } from '@tabler/icons-react';
import { useRouter } from 'next/navigation';
import { useMemo, useState, useTransition } from 'react';
import { GroundRibbon } from '../../[layoutId]/_components/GroundRibbon';
import { sandLayoutAction } from '../../actions';
import classes from './SandWalk.module.css';
import { keptSand, NOTHING_WALKED, type SandTyped } from './sandTyped';

type SandWalkProps = {
  arenas: { id: string; name: string; arena: Arena }[];
  horses: { id: string; name: string; horse: LayoutHorse }[];
  walkers: { id: string; name: string; stepLengthM: number }[];
};

/** A line that stands already, walked from its wall from piece to piece: drawn and read while it is walked, then a layout. */
export function SandWalk({ arenas, horses, walkers }: SandWalkProps) {
  const router = useRouter();
  const { unit, format, say } = useLengths();
  const [typed, setTyped] = useState<SandTyped>({
    ...NOTHING_WALKED,
    ...{ arenaId: arenas[0]!.id, walkerId: walkers[0]?.id ?? '' },
  });
  const [walking, setWalking] = useState<'aside' | number | null>(null);
  const [problem, setProblem] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const isTyped = typed.pieces.some(({ gap }) => gap !== '') || typed.name !== '' || typed.aside !== '';
  useDraft('the sand as walked', isTyped ? typed : null, left => {
    const back = keptSand(left);
    if (back && arenas.some(({ id }) => id === back.arenaId)) setTyped(back);
  });
  const change = (more: Partial<SandTyped>) => setTyped(before => ({ ...before, ...more }));
  const changePiece = (index: number, more: Partial<SandTyped['pieces'][number]>) =>
    setTyped(before => ({
      ...before,
      pieces: before.pieces.map((piece, at) => (at === index ? { ...piece, ...more } : piece)),
    }));
  const { arena } = arenas.find(({ id }) => id === typed.arenaId) ?? arenas[0]!;
  const walker = walkers.find(({ id }) => id === typed.walkerId) ?? null;
  const read = (text: string) =>
    parseLength(text, { defaultUnit: unit, ...(walker ? { stepLengthM: walker.stepLengthM } : {}) });
  const lengthOf = (text: string) => {
    const parsed = text.trim() === '' ? null : read(text);
    return parsed?.ok ? parsed.lengthM : null;
  };
  const faultOf = (text: string) => {
    const parsed = text.trim() === '' ? null : read(text);
    return parsed && !parsed.ok ? parsed.reason : null;
  };
  const acrossM = typed.from === 'near' || typed.from === 'far' ? arena.widthM : arena.lengthM;
  const done = typed.pieces.flatMap(({ gap, choice }) => {
    const gapM = lengthOf(gap);
    return gapM === null ? [] : [{ gapM, choice }];
  });
  const line: WalkedLine = {
    from: typed.from,
    fromLeftHandM: typed.aside.trim() === '' ? acrossM / 2 : (lengthOf(typed.aside) ?? 0),
    pieces: done,
  };
  const walked = walkedSand(arena, line, index => `p${index}`);
  const riders = horses.filter(({ id }) => typed.horseIds.includes(id)).map(({ horse }) => horse);
  const walkTo = (text: string) => {
    if (walking === 'aside') change({ aside: text });
    else if (walking !== null) changePiece(walking, { gap: text });
    setWalking(null);
  };
  const make = () =>
    begin(async () => {
      const { name, arenaId, horseIds } = typed;
      const answer = await sandLayoutAction({ name, arenaId, horseIds, ...line }).catch(() => null);
      if (answer?.ok) {
        setTyped({ ...NOTHING_WALKED, arenaId, walkerId: typed.walkerId });
        router.push(`/plan/${answer.layoutId}`);
        return;
      }
      const field = answer && Object.values(answer.fields)[0];
      setProblem(answer?.problem ?? field ?? 'The server does not answer: what you walked is kept on this device.');
    });
  return (
    <article className={classes.walk}>
      <div className={classes.row}>
        <Select
          label="Arena"
          allowDeselect={false}
          value={typed.arenaId}
          data={arenas.map(({ id, name }) => ({ value: id, label: name }))}
          onChange={arenaId => arenaId && change({ arenaId })}
        />
        <Select
          label="Walked from"
          allowDeselect={false}
          value={typed.from}
          data={WALKED_FROM.map(wall => ({ value: wall, label: `the ${wallName(arena, wall)}` }))}
          onChange={from => change({ from: WALKED_FROM.find(wall => wall === from) ?? 'near' })}
        />
        {walkers.length > 0 && (
          <Select
            label="Whose steps"
            allowDeselect={false}
            value={typed.walkerId}
            data={walkers.map(({ id, name }) => ({ value: id, label: name }))}
            onChange={walkerId => walkerId && change({ walkerId })}
          />
        )}
      </div>
      <WalkedField
        label="The line, in from the wall on your left hand"
        placeholder={`${format(acrossM / 2)}, the middle`}
        value={typed.aside}
        error={faultOf(typed.aside)}
        onType={aside => change({ aside })}
        onWalk={walker && (() => setWalking('aside'))}
      />
      <ol className={classes.pieces} aria-label="Pieces on the line">
        {typed.pieces.map((piece, index) => (
          <li key={piece.key}>
            <WalkedField
              label={index === 0 ? 'From the wall to the first' : `From ${index} to ${index + 1}`}
              placeholder="20½ steps"
              value={piece.gap}
              error={faultOf(piece.gap) ?? (!walked.ok && walked.piece === index ? walked.reason : null)}
              onType={gap => changePiece(index, { gap })}
              onWalk={walker && (() => setWalking(index))}
            />
            <Select
              label="There stands"
              allowDeselect={false}
              value={piece.choice}
              data={WALKED_CHOICES.map(choice => ({ value: choice, label: say(choice.replace('-', ' ')) }))}
              onChange={choice =>
                changePiece(index, { choice: WALKED_CHOICES.find(one => one === choice) ?? 'vertical' })
              }
            />
            {typed.pieces.length > 1 && (
              <Button
                variant="subtle"
                aria-label={`Leave piece ${index + 1} out`}
                onClick={() => change({ pieces: typed.pieces.filter((_, at) => at !== index) })}
              >
                <IconTrash size={20} />
              </Button>
            )}
          </li>
        ))}
      </ol>
      <Button
        variant="default"
        onClick={() =>
          change({ pieces: [...typed.pieces, { key: newId(), gap: '', choice: typed.pieces.at(-1)!.choice }] })
        }
      >
        And on to the next
      </Button>
      <MultiSelect
        searchable
        label="Who would ride it"
        value={typed.horseIds}
        data={horses.map(({ id, name }) => ({ value: id, label: name }))}
        onChange={horseIds => change({ horseIds })}
      />
      {walked.ok && walked.items.length > 0 && <SandSeen layout={sandLayout(arena, walked, riders)} format={format} />}
      {!walked.ok && walked.piece === null && <Alert color="ochre">{walked.reason}</Alert>}
      <TextInput label="Name" value={typed.name} onChange={event => change({ name: event.currentTarget.value })} />
      {problem && <Alert color="ochre">{problem}</Alert>}
      <Button loading={busy} disabled={!walked.ok || done.length < typed.pieces.length} onClick={make}>
        Make it a layout
      </Button>
      {walking !== null && walker && (
        <CountWalk
          label={walking === 'aside' ? 'from the wall on your left hand' : `to piece ${walking + 1}`}
          planned={null}
          stepM={walker.stepLengthM}
          onClose={() => setWalking(null)}
          onDone={walkTo}
        />
      )}
    </article>
  );
}

function sandLayout(
  arena: Arena,
  { items, track }: Extract<ReturnType<typeof walkedSand>, { ok: true }>,
  horses: LayoutHorse[],
): Layout {
  return {
    ...{ name: 'sand', arena, fall: null, school: 'whole-stride', horses, kit: null },
    ...{ items, tracks: track ? [track] : [] },
  };
}

/** What was walked so far, from above and unrolled. */
function SandSeen({ layout, format }: { layout: Layout; format: (lengthM: number) => string }) {
  const view = sandView(layout.arena, 'along');
  const textM = sandTextM(layout.arena);
  const tracks = useMemo(() => reckonLayout(layout), [layout]);
  const { short } = layoutLabels(layout);
  const [track] = tracks;
  return (
    <div>
      <Sand arena={layout.arena} view={view} label="The line as walked" className={classes.drawing}>
        <LayoutDrawing
          layout={layout}
          tracks={tracks}
          view={view}
          textM={textM}
          labels={new Map(layout.items.map(({ id }) => [id, short(id)]))}
        />
      </Sand>
      {track?.kind === 'items' && track.legs.length > 0 && (
        <GroundRibbon label="The line" planned={track} standing={track} numberOf={short} format={format} />
      )}
    </div>
  );
}
