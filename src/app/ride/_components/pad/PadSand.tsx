'use client';

import { useLengths, useSay } from '@/components/Lengths/LengthsProvider';
import { LayoutDrawing } from '@/components/Sand/LayoutDrawing';
import { Sand, sandTextM } from '@/components/Sand/Sand';
import { paperDegrees, sandView } from '@/components/Sand/sandView';
import { chainPath } from '@/components/Sand/trackPath';
import { useElementSize } from '@mantine/hooks';
import { distanceM, type PadStep, type PassMark, type PointM, type TappedMark } from '@/core';
import { useMemo } from 'react';
import {
  atEdge,
  bestOrientation,
  croppedBox,
  fromPixels,
  isInRoom,
  keyPlaces,
  keySize,
  pointsShown,
  toPixels,
} from './padMap';
import { marksAtStep } from './marksAtStep';
import type { RideSand } from './rideSand';
import { shake } from './shake';
import type { Pad } from '../../_state/pad/usePad';
import { useSandTouch } from '../../_state/pad/useSandTouch';
import classes from './Pad.module.css';

type PadSandProps = {
  sand: RideSand;
  pad: Pad;
  onMark: (said: TappedMark) => void;
  /** A swipe over the sand: the next pair, or the one before; null where there is one. */
  onSwipe: ((by: 1 | -1) => void) | null;
};

/** Before it is laid out the room is that of a phone. */
const USUAL_ROOM = { width: 374, height: 240 };

/** The sand that is ridden on: what is ridden over as keys at its place, what was marked drawn where it was. */
export function PadSand({ sand, pad, onMark, onSwipe }: PadSandProps) {
  const say = useSay();
  const { ref, ...size } = useElementSize<HTMLDivElement>();
  const room = size.width > 0 && size.height > 0 ? size : USUAL_ROOM;
  const { asked, chains, steps, arrows, stand, legMiddles, tracks } = sand;
  const { arena } = asked;
  const { view, box, places, sizePx } = useMemo(() => {
    const points = pointsShown(
      chains,
      steps.map(({ at }) => at),
    );
    const turned = sandView(arena, bestOrientation(points, room));
    const shown = croppedBox(turned, arena, points, room);
    const spots = pad.steps.map(({ at }) => toPixels(shown, room, turned.toPaper(at)));
    const key = keySize(spots.length, room);
    const way = pointsShown(chains, []).map(at => toPixels(shown, room, turned.toPaper(at)));
    // Whoever stands there is seen too.
    const you = stand && atEdge(toPixels(shown, room, turned.toPaper(stand)), room);
    const seen = you ? [...way, ...Array.from({ length: 8 }, () => you)] : way;
    return { view: turned, box: shown, places: keyPlaces(spots, key, room, seen), sizePx: key };
    // eslint-disable-next-line react-hooks/exhaustive-deps -- the room by its two numbers
  }, [sand, pad.steps, room.width, room.height]);
  const pixels = (at: PointM) => toPixels(box, room, view.toPaper(at));
  const touch = useSandTouch({
    onHold: point => {
      const at = view.toSand(fromPixels(box, room, point));
      if (at.xM < 0 || at.yM < 0 || at.xM > arena.widthM || at.yM > arena.lengthM) return;
      shake();
      onMark({ kind: 'spot', at });
    },
    onSwipe,
  });
  const spots = pad.marks.filter((mark): mark is Extract<PassMark, { kind: 'spot' }> => mark.kind === 'spot');
  const isRow = !pad.counted && steps[0]?.kind === 'pole';
  const chosenChain = pad.step?.kind === 'figure' ? pad.step.chain : null;
  return (
    <div ref={ref} className={classes.sand} data-lit="" {...touch}>
      <Sand arena={arena} view={view} box={box} label="The sand" className={classes.drawing} textM={sandTextM(arena)}>
        <LayoutDrawing layout={asked} tracks={tracks} view={view} textM={sandTextM(arena)} />
        {chosenChain && <path d={chainPath(view, chosenChain)} className={classes.chosenWay} />}
      </Sand>
      <svg className={classes.over} width={room.width} height={room.height} aria-hidden="true">
        {arrows.map((pose, index) => {
          const { x, y } = pixels(pose.at);
          return (
            <path
              key={index}
              d="M -7 -5 L 7 0 L -7 5 Z"
              className={classes.arrow}
              transform={`translate(${x} ${y}) rotate(${paperDegrees(view, pose.headingRad)})`}
            />
          );
        })}
        {pad.steps.map((step, index) => {
          const at = pixels(step.at);
          const key = places[index]!;
          return <line key={index} x1={at.x} y1={at.y} x2={key.x} y2={key.y} className={classes.leader} />;
        })}
        {spots.map(({ id, at }) => {
          const { x, y } = pixels(at);
          return <circle key={id} cx={x} cy={y} r={11} className={classes.spot} />;
        })}
        {stand && (
          <Stand
            at={atEdge(pixels(stand), room)}
            awayM={isInRoom(pixels(stand), room) ? null : nearestM(stand, steps)}
          />
        )}
        {pad.marks.map(mark => {
          const middle = mark.kind === 'strides' ? legMiddles[mark.place - 1] : undefined;
          return mark.kind === 'strides' && middle ? (
            <Counted key={mark.id} at={pixels(middle)} count={mark.count} />
          ) : null;
        })}
      </svg>
      <div role="group" aria-label="Where on the sand" className={classes.spots}>
        {pad.steps.map((step, index) => (
          <StepKey
            key={`${step.kind} ${step.place} ${step.kind === 'figure' ? step.part : ''}`}
            {...{ step, sizePx }}
            at={places[index]!}
            said={say(marksAtStep(pad.marks, step))}
            isChosen={index === pad.chosen}
            isNext={pad.run !== null && index === pad.run.step + 1}
            // A pole that is tapped again leaves the row as a whole.
            onChoose={() => pad.choose(index === pad.chosen && isRow ? null : index)}
          />
        ))}
      </div>
    </div>
  );
}

type StepKeyProps = {
  step: PadStep;
  at: { x: number; y: number };
  sizePx: number;
  said: string;
  isChosen: boolean;
  isNext: boolean;
  onChoose: () => void;
};

/** What is read of a key, with what is written on it. */
const nameOf = ({ words, label }: PadStep) => (words.includes(label) ? words : `${words}, ${label}`);

/** A key on the sand: its number, and under it what was said of it. */
function StepKey({ step, at, sizePx, said, isChosen, isNext, onChoose }: StepKeyProps) {
  return (
    <button
      type="button"
      className={classes.spotKey}
      style={{ left: at.x, top: at.y, width: sizePx, height: sizePx }}
      aria-pressed={isChosen}
      aria-label={said === '' ? nameOf(step) : `${nameOf(step)}: ${said}`}
      data-kind={step.kind}
      data-next={isNext || undefined}
      data-early={`step ${step.kind} ${step.place} ${step.kind === 'figure' ? (step.part ?? '') : ''}`}
      onClick={onChoose}
    >
      <strong>{step.label}</strong>
      {said !== '' && <small>{said}</small>}
    </button>
  );
}

const nearestM = (from: PointM, steps: readonly PadStep[]) => Math.min(...steps.map(({ at }) => distanceM(from, at)));

/** Where to stand: a person seen from above; beyond what is shown, at its edge, with how far off. */
function Stand({ at: { x, y }, awayM }: { at: { x: number; y: number }; awayM: number | null }) {
  const { say } = useLengths();
  return (
    <g transform={`translate(${x} ${y})`} className={classes.stand}>
      <ellipse rx={11} ry={5.5} />
      <circle r={4.5} />
      <text y={-10}>{awayM === null ? 'you' : say(`you, ${Math.round(awayM)} m off`)}</text>
    </g>
  );
}

function Counted({ at: { x, y }, count }: { at: { x: number; y: number }; count: number }) {
  return (
    <text x={x} y={y} dy="0.35em" className={classes.counted}>
      {count}
    </text>
  );
}
