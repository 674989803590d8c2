'use client';

import { Choice } from '@/components/Choice';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import { Sand } from '@/components/Sand/Sand';
import { useLastSaved } from '@/components/sync/useLastSaved';
import { sandView } from '@/components/Sand/sandView';
import { arenaCorners, distanceM, keptOutline, outlineFault, type PointM } from '@/core';
import type { NamedArena } from '@/data/queries/arenas';
import { shapeOf, type ArenaMarks } from '@/files/arenaMarks';
import { Alert, Button } from '@mantine/core';
import { useRef, useState, type PointerEvent } from 'react';
import { saveArenaMarksAction } from '../../../actions';
import classes from './ArenaMarksBoard.module.css';
import { ArenaShape } from './ArenaShape';
import { ArenaThingsList, OwnLettersList } from './ArenaThingsList';
import { PlaceOnEarth } from './PlaceOnEarth';
import { MarkList } from './MarkList';
import { MarksDrawing } from './MarksDrawing';
import { type Tool, sizeIn, placeByKey, marked } from './markAt';

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

/** What is marked on an arena's sand; every mark is kept as it is made, and can be typed and taken away. */
export function ArenaMarksBoard(props: { arena: NamedArena }) {
  const [marks, setMarks] = useState(props.arena.marks);
  const [tool, setTool] = useState<Tool>('patch');
  const [misshapen, setMisshapen] = useState<string | null>(null);
  const { say } = useLengths();
  const sand = useRef<SVGSVGElement>(null);
  // The drawing is of what is marked: its outline too.
  const arena = { ...props.arena, ...shapeOf(marks), ...sizeIn(marks, props.arena), marks };
  const view = sandView(arena, 'along');
  const [held, setHeld] = useState<number | null>(null);
  const saves = useLastSaved(saveArenaMarksAction, 'The server did not answer; the last mark is not kept yet.');
  const save = (next: ArenaMarks) => {
    setMarks(next);
    saves.save({ arenaId: arena.id, marks: next });
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
    setMisshapen(fault && say(fault));
    if (fault === null) save({ ...marks, outline: keptOutline(next).outline });
  };

  const problem = misshapen ?? saves.problem;
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
      <p role="status" className={classes.quiet}>
        {saves.state === 'saving' && 'Saving …'}
        {saves.state === 'saved' && 'Saved'}
      </p>
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

/** A corner is taken hold of so near to it, metres. */
const NEAR_CORNER_M = 2.5;
