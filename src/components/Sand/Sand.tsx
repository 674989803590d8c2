import { arenaCorners, arenaLetters, arenaLines, sideMarks, thingWords, type Arena } from '@/core';
import type { CSSProperties, ReactNode, Ref } from 'react';
import classes from './Sand.module.css';
import type { SandView } from './sandView';
import { ScaleBar } from './ScaleBar';

type SandProps = {
  arena: Arena;
  view: SandView;
  /** What a screen reader calls the drawing. */
  label: string;
  children?: ReactNode;
  ref?: Ref<SVGSVGElement>;
  className?: string;
  /** The part of the paper that is shown; the whole arena with its margin if it is left out. */
  box?: PaperBox;
  /** A small picture of a part: without a scale, and only with letters that are seen whole. */
  isPicture?: boolean;
  /** Metres of paper for the text, where it is not the usual. */
  textM?: number;
};

export type PaperBox = { x: number; y: number; width: number; height: number };

/** The whole arena with room around it for letters and the scale bar. */
export function wholeBox(arena: Arena, view: SandView): PaperBox {
  const textM = sandTextM(arena);
  const marginM = textM * 2.1;
  return {
    x: -marginM,
    y: -marginM,
    width: view.widthM + marginM * 2,
    height: view.heightM + marginM * 2 + textM * 1.2,
  };
}

/** Text grows with the sand, so that it reads the same on a page of any size. */
export function sandTextM(arena: Arena): number {
  return Math.max(arena.widthM, arena.lengthM) / 46;
}

/** The arena to scale, seen from above: one unit of the drawing is one metre. */
export function Sand({ arena, view, label, children, ref, className, box, textM: ownTextM, isPicture }: SandProps) {
  const textM = ownTextM ?? sandTextM(arena);
  const marginM = sandTextM(arena) * 2.1;
  const shown = box ?? wholeBox(arena, view);
  return (
    <svg
      ref={ref}
      role="group"
      data-lit=""
      aria-label={label}
      className={`${classes.sand} ${className ?? ''}`}
      style={{ '--text-m': textM } as CSSProperties}
      viewBox={`${shown.x} ${shown.y} ${shown.width} ${shown.height}`}
    >
      <path d={wallPath(arena, view)} className={classes.surface} />
      {/* Centre and quarter lines are those of a rectangle. */}
      {(arena.outline ? [] : arenaLines(arena)).map(({ name, from, to }) => {
        const a = view.toPaper(from);
        const b = view.toPaper(to);
        return <line key={name} x1={a.x} y1={a.y} x2={b.x} y2={b.y} className={classes.line} data-line={name} />;
      })}
      <Letters arena={arena} view={view} textM={textM} within={isPicture ? shown : null} />
      {!isPicture && <Sides arena={arena} view={view} textM={textM} />}
      {!isPicture && <ScaleBar arena={arena} x={0} y={view.heightM + marginM} textM={textM} />}
      {children}
      <Things arena={arena} view={view} textM={textM} />
      <path d={wallPath(arena, view)} className={classes.wall} />
    </svg>
  );
}

/** The walls as they go round the sand. */
export function wallPath(arena: Arena, view: SandView): string {
  return `M${arenaCorners(arena)
    .map(corner => {
      const { x, y } = view.toPaper(corner);
      return `${x} ${y}`;
    })
    .join('L')}Z`;
}

/** What stands on the sand for good, with what it is. */
function Things({ arena, view, textM }: Pick<LettersProps, 'arena' | 'view' | 'textM'>) {
  return (arena.standing ?? []).map((thing, index) => {
    const { x, y } = view.toPaper(thing.at);
    return (
      <g key={index} data-thing={thing.kind}>
        <title>{thingWords(thing)}</title>
        <circle cx={x} cy={y} r={thing.radiusM} className={classes.thing} />
        <path
          d={`M${x - thing.radiusM} ${y}h${2 * thing.radiusM}M${x} ${y - thing.radiusM}v${2 * thing.radiusM}`}
          className={classes.thingMark}
        />
        <text x={x} y={y + thing.radiusM + textM} dy="0.35em" className={classes.letter} fontSize={textM * 0.7}>
          {thingWords(thing).replace(/^the /, '')}
        </text>
      </g>
    );
  });
}

/** The sides of an arena without letters, outside their walls, as everything measured there calls them. */
function Sides({ arena, view, textM }: Pick<LettersProps, 'arena' | 'view' | 'textM'>) {
  const middle = view.toPaper({ xM: arena.widthM / 2, yM: arena.lengthM / 2 });
  return (
    <g aria-hidden="true">
      {sideMarks(arena).map(({ words, at }) => {
        const { x, y } = view.toPaper(at);
        const isLevel = Math.abs(y - middle.y) < 1e-6;
        const off = {
          x: isLevel ? Math.sign(x - middle.x) * textM * 0.9 : 0,
          y: isLevel ? 0 : Math.sign(y - middle.y) * textM,
        };
        const place = { x: x + off.x, y: y + off.y };
        return (
          <text
            key={words}
            {...place}
            dy="0.35em"
            className={classes.letter}
            transform={isLevel ? `rotate(-90 ${place.x} ${place.y})` : undefined}
          >
            {words}
          </text>
        );
      })}
    </g>
  );
}

type LettersProps = { arena: Arena; view: SandView; textM: number; within: PaperBox | null };

function Letters({ arena, view, textM, within }: LettersProps) {
  const half = textM * 0.6;
  const isSeen = ({ x, y }: { x: number; y: number }) =>
    within === null ||
    (x - half > within.x &&
      x + half < within.x + within.width &&
      y - half > within.y &&
      y + half < within.y + within.height);
  return (
    <g aria-hidden="true">
      {arenaLetters(arena).map(({ letter, at }) => {
        const onWall = at.xM === 0 || at.yM === 0 || at.xM === arena.widthM || at.yM === arena.lengthM;
        const inwards = onWall ? -textM * 0.95 : 0;
        const shifted = {
          xM: at.xM + (at.xM === 0 ? inwards : at.xM === arena.widthM ? -inwards : 0),
          yM: at.yM + (at.yM === 0 ? inwards : at.yM === arena.lengthM ? -inwards : 0),
        };
        const { x, y } = view.toPaper(shifted);
        if (!isSeen({ x, y })) return null;
        return (
          <text key={letter} x={x} y={y} dy="0.35em" className={onWall ? classes.letter : classes.innerLetter}>
            {letter}
          </text>
        );
      })}
    </g>
  );
}
