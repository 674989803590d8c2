import { isRaised, pointAlong, poleEnds, type PlacedRow, type Pole } from '@/core';
import classes from './RowDrawing.module.css';
import { drawn, type PaperPoint, type SandView } from './sandView';

type RowDrawingProps = {
  placed: PlacedRow;
  view: SandView;
  /** Metres of paper for the text. */
  textM: number;
  /** Feet along the row, metres from the first pole; none draws none. */
  footfallsM?: readonly number[];
  /** Numbers the poles, for setting them. */
  numbered?: boolean;
  /** Drawn in black and white, for paper. */
  plain?: boolean;
};

/** Drawn a little thicker than a pole is, so that it can be seen. */
const DRAWN_THICKNESS_M = 0.2;
const BANDS = 7;
/** How far left and right of the line the feet fall (drawn), as a share of the text. */
const FOOT_SIDE = 0.28;

/** A row of poles from above, with bands, blocks under raised ends, feet and the way it is ridden. */
export function RowDrawing({ placed, view, textM, footfallsM = [], numbered, plain }: RowDrawingProps) {
  const { row, poles } = placed;
  const first = poles[0];
  const last = poles[poles.length - 1];
  if (!first || !last) return null;
  // Numbers stand beside their poles, so they may be no wider than the gap.
  const numberM = poles.length > 1 ? Math.min(textM, placed.spacing.spacingM * 1.15) : textM;
  return (
    <g data-plain={plain || undefined} className={classes.row}>
      <WayRidden first={first} last={last} view={view} />
      {footfallsM.map((alongM, index) => {
        const onLine = pointAlong(first.at, row.headingRad, alongM);
        const side = index % 2 === 0 ? 1 : -1;
        const at = view.toPaper(pointAlong(onLine, row.headingRad + Math.PI / 2, side * FOOT_SIDE * textM));
        return <Hoof key={index} at={at} degrees={paperDegrees(view, row.headingRad)} sizeM={textM * 0.55} />;
      })}
      {poles.map((pole, index) => (
        <PoleDrawing key={pole.id} pole={pole} view={view} number={numbered ? index + 1 : null} textM={numberM} />
      ))}
    </g>
  );
}

/** The direction of a heading on paper, degrees clockwise from "to the right". */
export function paperDegrees(view: SandView, headingRad: number): number {
  const origin = view.toPaper({ xM: 0, yM: 0 });
  const ahead = view.toPaper(pointAlong({ xM: 0, yM: 0 }, headingRad, 1));
  return drawn((Math.atan2(ahead.y - origin.y, ahead.x - origin.x) * 180) / Math.PI);
}

type PoleDrawingProps = { pole: Pole; view: SandView; number: number | null; textM: number };

function PoleDrawing({ pole, view, number, textM }: PoleDrawingProps) {
  const ends = poleEnds(pole);
  const left = view.toPaper(ends.left);
  const right = view.toPaper(ends.right);
  const bandM = pole.lengthM / BANDS;
  const at = view.toPaper(pointAlong(ends.right, pole.headingRad - Math.PI / 2, textM * 0.8));
  return (
    <g data-pole={pole.id} data-x-m={drawn(pole.at.xM)} data-y-m={drawn(pole.at.yM)}>
      <line
        x1={left.x}
        y1={left.y}
        x2={right.x}
        y2={right.y}
        className={classes.pole}
        strokeWidth={DRAWN_THICKNESS_M}
      />
      <line
        x1={left.x}
        y1={left.y}
        x2={right.x}
        y2={right.y}
        className={classes.bands}
        strokeWidth={DRAWN_THICKNESS_M * 0.75}
        strokeDasharray={`${bandM} ${bandM}`}
      />
      {isRaised(pole.raised) && (
        <>
          {pole.raised.leftM > 0 && <Block at={left} />}
          {pole.raised.rightM > 0 && <Block at={right} />}
        </>
      )}
      {number !== null && (
        <text x={at.x} y={at.y} dy="0.35em" fontSize={textM} className={classes.number}>
          {number}
        </text>
      )}
    </g>
  );
}

const BLOCK_M = 0.5;

function Block({ at }: { at: PaperPoint }) {
  return (
    <rect x={at.x - BLOCK_M / 2} y={at.y - BLOCK_M / 2} width={BLOCK_M} height={BLOCK_M} className={classes.block} />
  );
}

/** A hoof print, toe ahead. */
function Hoof({ at, degrees, sizeM }: { at: PaperPoint; degrees: number; sizeM: number }) {
  return (
    <path
      d="M-0.45 -0.4Q0.5 -0.6 0.5 0Q0.5 0.6 -0.45 0.4"
      transform={`translate(${at.x} ${at.y}) rotate(${degrees}) scale(${sizeM})`}
      className={classes.hoof}
    />
  );
}

/** Before the row and behind it, a thin line with a head: the feet have the row to themselves. */
function WayRidden({ first, last, view }: { first: Pole; last: Pole; view: SandView }) {
  const before = [-3, -1].map(m => view.toPaper(pointAlong(first.at, first.headingRad, m)));
  const behind = [1, 2.6].map(m => view.toPaper(pointAlong(last.at, last.headingRad, m)));
  const to = behind[1]!;
  const degrees = paperDegrees(view, last.headingRad);
  return (
    <g className={classes.way}>
      {[before, behind].map(([a, b]) => (
        <line key={a!.x} x1={a!.x} y1={a!.y} x2={b!.x} y2={b!.y} />
      ))}
      <path d="M-0.75 -0.42L0 0L-0.75 0.42" transform={`translate(${to.x} ${to.y}) rotate(${degrees})`} />
    </g>
  );
}
