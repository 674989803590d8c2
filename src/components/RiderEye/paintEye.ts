import type { EyePicture } from '@/core';
import { EYE_EDGE, EYE_GRID, EYE_INK, EYE_SAND, EYE_SKY, inLight } from '@/files/eyeColours';

/** What a canvas must be able to do for it. */
export type EyePaper = Pick<
  CanvasRenderingContext2D,
  | 'beginPath'
  | 'closePath'
  | 'createLinearGradient'
  | 'fill'
  | 'fillRect'
  | 'fillText'
  | 'lineTo'
  | 'moveTo'
  | 'stroke'
  | 'strokeText'
> & {
  fillStyle: CanvasRenderingContext2D['fillStyle'];
  strokeStyle: CanvasRenderingContext2D['strokeStyle'];
  font: string;
  lineJoin: CanvasLineJoin;
  lineWidth: number;
  textAlign: CanvasTextAlign;
  textBaseline: CanvasTextBaseline;
};

/** Paints what an eye sees on a canvas of so many pixels. The next thing to ride at has a darker outline. */
export function paintEye(
  paper: EyePaper,
  picture: EyePicture,
  { widthPx, heightPx, next }: { widthPx: number; heightPx: number; next: string | null },
): void {
  const horizonPx = Math.min(heightPx, Math.max(0, picture.horizon * heightPx));
  paper.lineJoin = 'round';
  ground(paper, EYE_SKY, widthPx, 0, horizonPx);
  ground(paper, EYE_SAND, widthPx, horizonPx, heightPx);
  const scale = heightPx / 400;
  for (const drawn of picture.drawn) {
    switch (drawn.kind) {
      case 'face':
        outline(paper, drawn.points, widthPx, heightPx);
        paper.closePath();
        paper.fillStyle = inLight(drawn.tone, drawn.light);
        paper.fill();
        // Pieces of a wall close up: no seam shows the sky.
        paper.strokeStyle =
          drawn.tone === 'wall' ? paper.fillStyle : drawn.of !== null && drawn.of === next ? EYE_INK : EYE_EDGE;
        paper.lineWidth = (drawn.of === next ? 1.1 : 0.6) * scale;
        paper.stroke();
        break;
      case 'line':
        outline(paper, drawn.points, widthPx, heightPx);
        paper.strokeStyle = EYE_GRID;
        paper.lineWidth = scale;
        paper.stroke();
        break;
      case 'word':
        paper.font = `700 ${drawn.size * heightPx}px "Atkinson Hyperlegible Next Variable", sans-serif`;
        paper.textAlign = 'center';
        paper.textBaseline = 'middle';
        paper.lineWidth = drawn.size * heightPx * 0.2;
        paper.strokeStyle = EYE_SKY[1];
        paper.strokeText(drawn.words, drawn.at.x * widthPx, drawn.at.y * heightPx);
        paper.fillStyle = EYE_INK;
        paper.fillText(drawn.words, drawn.at.x * widthPx, drawn.at.y * heightPx);
    }
  }
}

function ground(
  paper: EyePaper,
  [far, near]: readonly [string, string],
  widthPx: number,
  fromPx: number,
  toPx: number,
) {
  if (toPx <= fromPx) return;
  const fill = paper.createLinearGradient(0, fromPx, 0, toPx);
  fill.addColorStop(0, far);
  fill.addColorStop(1, near);
  paper.fillStyle = fill;
  paper.fillRect(0, fromPx, widthPx, toPx - fromPx);
}

function outline(paper: EyePaper, points: readonly { x: number; y: number }[], widthPx: number, heightPx: number) {
  paper.beginPath();
  points.forEach(({ x, y }, index) => {
    if (index === 0) paper.moveTo(x * widthPx, y * heightPx);
    else paper.lineTo(x * widthPx, y * heightPx);
  });
}
