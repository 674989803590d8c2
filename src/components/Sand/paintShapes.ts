import type { LookName } from './looks';
import type { PathShape, Run, Shape, TextShape } from './shape';

/** How shapes of a name look by the style sheet; sizes in metres of paper. */
export type Look = {
  fill: string | null;
  stroke: string | null;
  strokeM: number;
  dash: number[];
  cap: CanvasLineCap;
  join: CanvasLineJoin;
  /** Letters with a rim: their line lies under what is filled. */
  strokeFirst: boolean;
  /** Everything of the font but its size: style and weight before it, family after. */
  font: readonly [string, string];
  anchor: string;
};

export type Looks = Readonly<Record<LookName, Look>>;

/** What a canvas must be able to do for it. */
export type Paper = Pick<
  CanvasRenderingContext2D,
  'clearRect' | 'fill' | 'fillText' | 'measureText' | 'setLineDash' | 'setTransform' | 'stroke' | 'strokeText'
> & {
  fillStyle: CanvasRenderingContext2D['fillStyle'];
  strokeStyle: CanvasRenderingContext2D['strokeStyle'];
  font: string;
  lineCap: CanvasLineCap;
  lineJoin: CanvasLineJoin;
  lineWidth: number;
  miterLimit: number;
};

/** Where a place of the drawing lies on a canvas: pixels = metres · scale + x or y. */
export type OnPaper = { scale: number; x: number; y: number };

/** A box of the drawing fitted into a canvas about its middle, as SVG fits it. */
export function fitted(box: Box, widthPx: number, heightPx: number): OnPaper {
  const scale = Math.min(widthPx / box.width, heightPx / box.height);
  return {
    scale,
    x: (widthPx - box.width * scale) / 2 - box.x * scale,
    y: (heightPx - box.height * scale) / 2 - box.y * scale,
  };
}

type Box = { x: number; y: number; width: number; height: number };

/** Draws shapes in their order. */
export function paintShapes(paper: Paper, shapes: readonly Shape[], on: OnPaper, looks: Looks): void {
  const { scale, x, y } = on;
  paper.miterLimit = 4;
  paper.setTransform(scale, 0, 0, scale, x, y);
  for (const shape of inFewer(shapes)) {
    const look = looks[shape.look];
    if (shape.kind === 'path') {
      paintPath(paper, shape, look);
      continue;
    }
    // Letters are drawn at their size on the screen: tiny ones made large by a scale are not as sharp.
    paper.setTransform(1, 0, 0, 1, 0, 0);
    paintText(paper, shape, { on, looks, look });
    paper.setTransform(scale, 0, 0, scale, x, y);
  }
}

/** Shapes that follow each other and look the same are drawn as one: a canvas is asked less often. */
function inFewer(shapes: readonly Shape[]): Shape[] {
  const fewer: Shape[] = [];
  for (const shape of shapes) {
    const last = fewer[fewer.length - 1];
    if (last?.kind === 'path' && shape.kind === 'path' && isAlike(last, shape))
      fewer[fewer.length - 1] = { ...last, d: last.d + shape.d };
    else fewer.push(shape);
  }
  return fewer;
}

const isAlike = (a: PathShape, b: PathShape) =>
  a.look === b.look && a.strokeM === b.strokeM && a.dashM === undefined && b.dashM === undefined;

function paintPath(paper: Paper, shape: PathShape, look: Look): void {
  const path = new Path2D(shape.d);
  if (look.fill !== null) {
    paper.fillStyle = look.fill;
    paper.fill(path);
  }
  if (look.stroke === null) return;
  paper.strokeStyle = look.stroke;
  paper.lineWidth = shape.strokeM ?? look.strokeM;
  paper.lineCap = look.cap;
  paper.lineJoin = look.join;
  paper.setLineDash(shape.dashM === undefined ? look.dash : [shape.dashM, shape.dashM]);
  paper.stroke(path);
}

/** From the middle of letters to the line they stand on, as a share of their size. */
const BASELINE_SHARE = 0.35;

type TextOn = { on: OnPaper; looks: Looks; look: Look };

function paintText(paper: Paper, text: TextShape, { on, looks, look }: TextOn): void {
  const sizePx = text.sizeM * on.scale;
  const runs = text.runs.map(run => ({
    run,
    look: run.look === undefined ? look : { ...look, ...drawnAs(looks[run.look]) },
  }));
  const widths = runs.map(({ run, look: own }) => widthOf(paper, run, own, sizePx));
  const yPx = text.y * on.scale + on.y + BASELINE_SHARE * sizePx;
  const share = look.anchor === 'middle' ? 0.5 : look.anchor === 'end' ? 1 : 0;
  let xPx = text.x * on.scale + on.x - share * widths.reduce((sum, one) => sum + one, 0);
  paper.setLineDash([]);
  paper.lineJoin = look.join;
  runs.forEach(({ run, look: own }, index) => {
    paper.font = fontOf(own, sizePx);
    const rim = own.stroke !== null;
    if (rim) {
      paper.strokeStyle = own.stroke!;
      paper.lineWidth = own.strokeM * on.scale;
    }
    if (rim && own.strokeFirst) paper.strokeText(run.words, xPx, yPx);
    if (own.fill !== null) {
      paper.fillStyle = own.fill;
      paper.fillText(run.words, xPx, yPx);
    }
    if (rim && !own.strokeFirst) paper.strokeText(run.words, xPx, yPx);
    xPx += widths[index]!;
  });
}

/** A part of some words has its own colour and weight; the rim and the place are those of the whole. */
const drawnAs = ({ fill, font }: Look) => ({ fill, font });

function widthOf(paper: Paper, run: Run, look: Look, sizePx: number): number {
  paper.font = fontOf(look, sizePx);
  return paper.measureText(run.words).width;
}

const fontOf = ({ font: [before, after] }: Look, sizePx: number) => `${before} ${sizePx}px ${after}`;
