'use client';

import { Card } from '@/components/Card/Card';
import { Choice } from '@/components/Choice';
import { CommitField, type Read } from '@/components/CommitField/CommitField';
import { LengthField } from '@/components/LengthField/LengthField';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { newId } from '@/components/newId';
import { Sand } from '@/components/Sand/Sand';
import { sandView } from '@/components/Sand/sandView';
import { arenaCorners, arenaWalls, distanceM, keptOutline, nearestBetween, outlineFault, type PointM } from '@/core';
import type { NamedArena } from '@/data/queries/arenas';
import { shapeOf, type ArenaMarks } from '@/files/arenaMarks';
import { Alert, Button, Group, TextInput } from '@mantine/core';
import { useRef, useState, type PointerEvent } from 'react';
import { saveArenaMarksAction } from '../../../actions';
import classes from './ArenaMarksBoard.module.css';
import { ArenaShape } from './ArenaShape';
import { ArenaThingsList, OwnLettersList } from './ArenaThingsList';
import { PlaceOnEarth } from './PlaceOnEarth';

type Tool = 'patch' | 'entrance' | 'home' | 'fall' | 'thing' | 'letter' | 'corner';

const TOOLS: { value: Tool; label: string }[] = [
  { value: 'patch', label: 'A bad patch' },
  { value: 'entrance', label: 'The entrance' },
  { value: 'home', label: 'The way home' },
  { value: 'fall', label: 'The fall' },
  { value: 'thing', label: 'Something that stands there' },
  { value: 'letter', label: 'A letter' },
  { value: 'corner', label: 'A corner' },
];
const HINTS: Record<Tool, string> = {
  patch: 'Tap the sand where it is deep, hard, wet or slipping.',
  entrance: 'Tap the wall where one comes in.',
  home: 'Tap towards the stable: horses draw on that way by themselves.',
  fall: 'Tap the side that lies lowest: the way water would run.',
  thing: 'Tap where a pillar, a tree, a gate or a mounting block stands.',
  letter: 'Tap the wall where a letter of your own stands.',
  corner: 'Press a corner of the sand and drag it where it is.',
};
const NEW_PATCH_RADIUS_M = 2;
const USUAL_FALL_PERCENT = 1.5;

/** What is marked on an arena's sand; every mark is kept as it is made, and can be typed and taken away. */
export function ArenaMarksBoard(props: { arena: NamedArena }) {
  const [marks, setMarks] = useState(props.arena.marks);
  const [tool, setTool] = useState<Tool>('patch');
  const [problem, setProblem] = useState<string | null>(null);
  const { say } = useLengths();
  const sand = useRef<SVGSVGElement>(null);
  // The drawing is of what is marked: its outline too.
  const arena = { ...props.arena, ...shapeOf(marks), ...sizeIn(marks, props.arena), marks };
  const view = sandView(arena, 'along');
  const [held, setHeld] = useState<number | null>(null);
  const saves = useRef(Promise.resolve());

  /** Saves follow each other, so that the last one made is the last one kept. */
  const save = (next: ArenaMarks) => {
    setMarks(next);
    saves.current = saves.current.then(async () => {
      const outcome = await saveArenaMarksAction({ arenaId: arena.id, marks: next }).catch(() => null);
      setProblem(
        outcome?.ok ? null : (outcome?.problem ?? 'The server did not answer; the last mark is not kept yet.'),
      );
    });
  };
  const placeOf = (event: PointerEvent): PointM | null => {
    const matrix = sand.current?.getScreenCTM();
    if (!matrix) return null;
    const paper = new DOMPoint(event.clientX, event.clientY).matrixTransform(matrix.inverse());
    return view.toSand({ x: paper.x, y: paper.y });
  };
  const corners = arenaCorners(arena);
  const pressed = (event: PointerEvent) => {
    const at = placeOf(event);
    if (tool !== 'corner' || !at) return;
    const near = corners.findIndex(corner => distanceM(corner, at) < NEAR_CORNER_M);
    setHeld(near < 0 ? null : near);
    if (near >= 0) event.currentTarget.setPointerCapture(event.pointerId);
  };
  const tapped = (event: PointerEvent) => {
    const at = placeOf(event);
    if (!at) return;
    if (tool !== 'corner') return save(marked(arena, marks, tool, at));
    if (held === null) return;
    setHeld(null);
    const to = { xM: Math.round(at.xM * 10) / 10, yM: Math.round(at.yM * 10) / 10 };
    const next = corners.map((corner, index) => (index === held ? to : corner));
    const fault = outlineFault(next);
    setProblem(fault && say(fault));
    if (fault === null) save({ ...marks, outline: keptOutline(next).outline });
  };

  return (
    <div className={classes.board}>
      <div>
        <Choice aria-label="What to mark" value={tool} onChange={value => setTool(value as Tool)} data={TOOLS} />
        <p className={classes.quiet}>
          {HINTS[tool]}{' '}
          {tool !== 'corner' && (
            <Button
              size="compact-sm"
              variant="default"
              onClick={() => save(marked(arena, marks, tool, placeByKey(arena)))}
            >
              Or put it at the far end, and type it right
            </Button>
          )}
        </p>
        <div onPointerDown={pressed} onPointerUp={tapped} className={classes.sand} data-tool={tool}>
          <Sand ref={sand} arena={arena} view={view} label={`${arena.name}, seen from above, with what is marked`}>
            <MarksDrawing arena={arena} marks={marks} />
            {tool === 'corner' &&
              corners.map((corner, index) => {
                const { x, y } = view.toPaper(corner);
                return (
                  <g key={index}>
                    <circle cx={x} cy={y} r="1" className={classes.corner} data-held={held === index || undefined} />
                    <text x={x} y={y} dy="0.35em" className={classes.words}>
                      {index + 1}
                    </text>
                  </g>
                );
              })}
          </Sand>
        </div>
      </div>
      <div className={classes.cards}>
        <MarkList marks={marks} onChange={save} />
        <ArenaThingsList marks={marks} onChange={save} />
        <OwnLettersList marks={marks} onChange={save} />
        <ArenaShape arena={arena} marks={marks} onChange={save} />
        <PlaceOnEarth place={marks.place} onChange={place => save({ ...marks, place })} />
      </div>
      {problem && (
        <Alert color="chestnut" role="alert">
          {problem}
          <Button ml="sm" size="xs" variant="default" onClick={() => save(marks)}>
            Try again
          </Button>
        </Alert>
      )}
    </div>
  );
}

const NEW_THING_RADIUS_M = 0.3;
const LETTERS = [...'ABCDEFGHIKLMNPQRSTUVWXYZ'];
/** A corner is taken hold of so near to it, metres. */
const NEAR_CORNER_M = 2.5;

/** How large the sand is by its outline; as it was where it has none. */
function sizeIn({ outline }: ArenaMarks, { widthM, lengthM }: NamedArena): { widthM: number; lengthM: number } {
  if (!outline) return { widthM, lengthM };
  return { widthM: Math.max(...outline.map(({ xM }) => xM)), lengthM: Math.max(...outline.map(({ yM }) => yM)) };
}

/** Where a mark goes that no finger placed: at the far end, a little inside. */
const placeByKey = ({ widthM, lengthM }: NamedArena): PointM => ({ xM: widthM / 2, yM: lengthM - 3 });

const clamp = (value: number, most: number) => Math.round(Math.min(most, Math.max(0, value)) * 10) / 10;

/** The marks after a tap with a tool. */
function marked(arena: NamedArena, marks: ArenaMarks, tool: Tool, tap: PointM): ArenaMarks {
  const at = { xM: clamp(tap.xM, arena.widthM), yM: clamp(tap.yM, arena.lengthM) };
  switch (tool) {
    case 'patch': {
      const patch = { id: newId(), at, radiusM: NEW_PATCH_RADIUS_M, words: 'bad ground' };
      return { ...marks, patches: [...marks.patches, patch] };
    }
    case 'thing': {
      const thing = { kind: 'pillar' as const, name: null, at, radiusM: NEW_THING_RADIUS_M };
      return { ...marks, standing: [...marks.standing, thing] };
    }
    case 'letter': {
      const taken = marks.ownLetters.map(one => one.letter);
      const letter = LETTERS.find(one => !taken.includes(one));
      return letter ? { ...marks, ownLetters: [...marks.ownLetters, { letter, at: atWall(arena, at) }] } : marks;
    }
    case 'corner':
      return marks;
    case 'entrance':
      return { ...marks, entrance: atWall(arena, at) };
    case 'home':
      return { ...marks, homeFacingDeg: facingFromMiddle(arena, at) };
    case 'fall':
      return {
        ...marks,
        fall: { facingDeg: facingFromMiddle(arena, at), percent: marks.fall?.percent ?? USUAL_FALL_PERCENT },
      };
  }
}

/** The nearest place on the walls. */
function atWall(arena: NamedArena, point: PointM): PointM {
  const places = arenaWalls(arena).map(([from, to]) => {
    const { xM, yM } = nearestBetween(from, to, point);
    return { xM: Math.round(xM * 100) / 100, yM: Math.round(yM * 100) / 100 };
  });
  return places.reduce((a, b) => (distanceM(b, point) < distanceM(a, point) ? b : a));
}

/** The way from the middle to a point, as a facing to the nearest five degrees. */
function facingFromMiddle({ widthM, lengthM }: NamedArena, { xM, yM }: PointM): number {
  const degrees = (Math.atan2(xM - widthM / 2, yM - lengthM / 2) * 180) / Math.PI;
  return (((Math.round(degrees / 5) * 5) % 360) + 360) % 360;
}

function MarksDrawing({ arena, marks }: { arena: NamedArena; marks: ArenaMarks }) {
  const view = sandView(arena, 'along');
  const entrance = marks.entrance && view.toPaper(marks.entrance);
  return (
    <g>
      {marks.patches.map(({ id, at, radiusM, words }) => {
        const { x, y } = view.toPaper(at);
        return (
          <g key={id}>
            <circle cx={x} cy={y} r={radiusM} className={classes.patch} />
            <text x={x} y={y} dy="0.35em" className={classes.words}>
              {words}
            </text>
          </g>
        );
      })}
      {entrance && <circle cx={entrance.x} cy={entrance.y} r="0.5" className={classes.entrance} />}
      {marks.homeFacingDeg !== null && (
        <Pointer arena={arena} facingDeg={marks.homeFacingDeg} className={classes.home} words="home" share={0.32} />
      )}
      {marks.fall && (
        <Pointer
          arena={arena}
          facingDeg={marks.fall.facingDeg}
          className={classes.fall}
          words={`falls ${marks.fall.percent} %`}
          share={0.2}
        />
      )}
    </g>
  );
}

type PointerProps = {
  arena: NamedArena;
  facingDeg: number;
  className: string | undefined;
  words: string;
  share: number;
};

/** An arrow from the middle of the sand. */
function Pointer({ arena, facingDeg, className, words, share }: PointerProps) {
  const view = sandView(arena, 'along');
  const rad = (facingDeg * Math.PI) / 180;
  const middle = { xM: arena.widthM / 2, yM: arena.lengthM / 2 };
  const lengthM = Math.min(arena.widthM, arena.lengthM) * share;
  const at = (aheadM: number, asideM: number) =>
    view.toPaper({
      xM: middle.xM + Math.sin(rad) * aheadM + Math.cos(rad) * asideM,
      yM: middle.yM + Math.cos(rad) * aheadM - Math.sin(rad) * asideM,
    });
  const [tail, tip, left, right, label] = [
    at(0, 0),
    at(lengthM, 0),
    at(lengthM - 1.2, 0.7),
    at(lengthM - 1.2, -0.7),
    at(lengthM + 1.6, 0),
  ];
  return (
    <g>
      <path
        d={`M${tail.x} ${tail.y}L${tip.x} ${tip.y}M${left.x} ${left.y}L${tip.x} ${tip.y}L${right.x} ${right.y}`}
        className={className}
      />
      <text x={label.x} y={label.y} dy="0.35em" className={classes.words}>
        {words}
      </text>
    </g>
  );
}

const number =
  (what: string, least: number, most: number) =>
  (text: string): Read<number> => {
    const value = /^\s*\d{1,3}([.,]\d{1,2})?\s*$/.test(text) ? Number(text.replace(',', '.')) : Number.NaN;
    return value >= least && value <= most
      ? { ok: true, value }
      : { ok: false, reason: `${what}: ${least} to ${most}.` };
  };

/** The marks as text: each to be typed or taken away. */
function MarkList({ marks, onChange }: { marks: ArenaMarks; onChange: (marks: ArenaMarks) => void }) {
  const { entrance, homeFacingDeg, fall, patches } = marks;
  const { format } = useLengths();
  const none = !entrance && homeFacingDeg === null && !fall && patches.length === 0;
  const changePatch = (id: string, changes: Partial<ArenaMarks['patches'][number]>) =>
    onChange({ ...marks, patches: patches.map(patch => (patch.id === id ? { ...patch, ...changes } : patch)) });
  const away = (label: string, next: ArenaMarks) => (
    <Button
      size="compact-sm"
      variant="subtle"
      flex="none"
      onClick={() => onChange(next)}
      aria-label={`Take away: ${label}`}
    >
      Take away
    </Button>
  );
  return (
    <Card label="Marks" title="Marks">
      <div className={classes.marks}>
        {none && <p className={classes.quiet}>Nothing is marked yet.</p>}
        {entrance && (
          <Group justify="space-between" wrap="nowrap">
            <span>
              Entrance {format(entrance.xM)} across, {format(entrance.yM)} up
            </span>
            {away('the entrance', { ...marks, entrance: null })}
          </Group>
        )}
        {homeFacingDeg !== null && (
          <Group align="flex-end" justify="space-between">
            <CommitField
              label="Home lies at, degrees from straight up"
              text={String(homeFacingDeg)}
              read={number('A direction', 0, 359)}
              onCommit={value => {
                onChange({ ...marks, homeFacingDeg: value });
                return null;
              }}
            />
            {away('the way home', { ...marks, homeFacingDeg: null })}
          </Group>
        )}
        {fall && (
          <Group align="flex-end" justify="space-between">
            <CommitField
              label="The ground falls by, percent"
              text={String(fall.percent)}
              read={number('A fall', 0.1, 30)}
              onCommit={percent => {
                onChange({ ...marks, fall: { ...fall, percent } });
                return null;
              }}
            />
            {away('the fall', { ...marks, fall: null })}
          </Group>
        )}
        {patches.map(({ id, words, radiusM, at }) => (
          <Group key={id} align="flex-end" gap="xs" className={classes.patchRow}>
            <PatchWords words={words} onCommit={changed => changePatch(id, { words: changed })} />
            <LengthField
              label="Across"
              lengthM={at.xM}
              minM={0}
              maxM={200}
              onCommit={xM => {
                changePatch(id, { at: { ...at, xM } });
                return null;
              }}
            />
            <LengthField
              label="Up the arena"
              lengthM={at.yM}
              minM={0}
              maxM={200}
              onCommit={yM => {
                changePatch(id, { at: { ...at, yM } });
                return null;
              }}
            />
            <LengthField
              label="Radius"
              lengthM={radiusM}
              minM={0.5}
              maxM={20}
              onCommit={value => {
                changePatch(id, { radiusM: value });
                return null;
              }}
            />
            {away(words, { ...marks, patches: patches.filter(patch => patch.id !== id) })}
          </Group>
        ))}
      </div>
    </Card>
  );
}

function PatchWords({ words, onCommit }: { words: string; onCommit: (words: string) => void }) {
  const [typed, setTyped] = useState(words);
  const commit = () => {
    const trimmed = typed.trim();
    if (trimmed === '') setTyped(words);
    else if (trimmed !== words) onCommit(trimmed);
  };
  return (
    <TextInput
      label="A bad patch"
      maxLength={80}
      value={typed}
      onChange={event => setTyped(event.currentTarget.value)}
      onBlur={commit}
      onKeyDown={event => event.key === 'Enter' && commit()}
    />
  );
}
