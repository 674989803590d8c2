import { aimFromFlagM, RAILS_ACROSS, type Fence, type Item } from '@/core';
import { boxPath, closedPath, paperFrame, type PaperFrame } from './paperFrame';
import { drawn, type SandView } from './sandView';
import { circlePath, type Shape } from './shape';

/** Drawn a little thicker than a pole is, so that it can be seen. */
const POLE_M = 0.18;
const STAND_M = 0.5;
const BLOCK_M = 0.5;
const BANDS = 7;

/** An item as it looks from above, to scale. */
export function itemShapes(item: Item, view: SandView): Shape[] {
  const headingRad = 'headingRad' in item ? item.headingRad : 0;
  const frame = paperFrame(view, { at: item.at, headingRad });
  const at = frame.point(0, 0);
  switch (item.kind) {
    case 'pole':
      return poleShapes(item, frame);
    case 'fence':
      return fenceShapes(item, frame);
    case 'guide': {
      const d = `M${frame.at(-item.lengthM / 2, 0)}L${frame.at(item.lengthM / 2, 0)}`;
      return [{ kind: 'path', d, look: 'guide', rail: true }];
    }
    case 'cone':
      return [
        { kind: 'path', d: circlePath(at, 0.32), look: 'cone', rail: true },
        { kind: 'path', d: circlePath(at, 0.1), look: 'coneTop' },
      ];
    case 'block':
      return [{ kind: 'path', d: boxPath(frame, 0, 0, BLOCK_M, BLOCK_M), look: 'block', rail: true }];
    case 'marker':
      return [
        { kind: 'path', d: circlePath(at, 0.12), look: 'coneTop', rail: true },
        { kind: 'path', d: `M${at.x} ${at.y}v-1l0.7 0.25l-0.7 0.25`, look: 'marker' },
      ];
  }
}

function poleShapes({ lengthM, raised }: Extract<Item, { kind: 'pole' }>, frame: PaperFrame): Shape[] {
  return [
    ...rails(across(frame, 0, lengthM), lengthM),
    ...(raised.leftM > 0 ? [square(frame, 0, -lengthM / 2)] : []),
    ...(raised.rightM > 0 ? [square(frame, 0, lengthM / 2)] : []),
  ];
}

function square(frame: PaperFrame, x: number, y: number): Shape {
  return { kind: 'path', d: boxPath(frame, x, y, BLOCK_M, BLOCK_M), look: 'block' };
}

/** A rail across the way it is ridden. */
function across({ at }: PaperFrame, x: number, lengthM: number): string {
  return `M${at(x, -lengthM / 2)}L${at(x, lengthM / 2)}`;
}

/** Rails with their bands. */
function rails(d: string, lengthM: number, thickM = POLE_M): Shape[] {
  const dashM = drawn(lengthM / BANDS);
  return [
    { kind: 'path', d, look: 'edge', strokeM: thickM + 0.07, rail: true },
    { kind: 'path', d, look: 'rail', strokeM: thickM },
    { kind: 'path', d, look: 'bands', strokeM: thickM, dashM },
  ];
}

function fenceShapes(fence: Fence, frame: PaperFrame): Shape[] {
  const { widthM, spreadM, groundLineBeforeM, filler, ridden } = fence;
  const frontM = -spreadM / 2;
  const shapes: Shape[] = [];
  if (groundLineBeforeM !== null) {
    const d = across(frame, frontM - groundLineBeforeM, widthM);
    shapes.push({ kind: 'path', d, look: 'groundLine', strokeM: POLE_M * 0.6 });
  }
  if (filler) shapes.push({ kind: 'path', d: boxPath(frame, frontM, 0, 0.44, widthM * 0.84), look: 'filler' });
  shapes.push(...(fence.form === 'corner' ? cornerShapes(fence, frame) : builtShapes(fence, frame)));
  if (ridden === 'one-way') {
    const [backM, headM] = [-frontM + 0.9, -frontM + 1.45];
    const d = `M${frame.at(backM, -0.45)}L${frame.at(headM, 0)}L${frame.at(backM, 0.45)}`;
    shapes.push({ kind: 'path', d, look: 'oneWay' });
  }
  return shapes;
}

function builtShapes({ form, widthM, spreadM }: Fence, frame: PaperFrame): Shape[] {
  if (form === 'corner') return [];
  const xs = RAILS_ACROSS[form].map(share => share * spreadM);
  const sideM = (widthM + STAND_M) / 2;
  const stands = xs.flatMap(x => [
    boxPath(frame, x, -sideM, STAND_M, STAND_M),
    boxPath(frame, x, sideM, STAND_M, STAND_M),
  ]);
  const d = form === 'cross-rail' ? crossed(frame, widthM) : xs.map(x => across(frame, x, widthM)).join('');
  const wall: Shape = { kind: 'path', d: boxPath(frame, 0, 0, 0.56, widthM), look: 'wall' };
  return [
    ...(form === 'wall' ? [wall] : []),
    { kind: 'path', d: stands.join(''), look: 'block' },
    ...rails(d, widthM, form === 'wall' ? POLE_M * 0.7 : POLE_M),
  ];
}

function crossed({ at }: PaperFrame, widthM: number): string {
  return `M${at(-0.16, -widthM / 2)}L${at(0.16, widthM / 2)}M${at(0.16, -widthM / 2)}L${at(-0.16, widthM / 2)}`;
}

/** Two rails that meet at the flag, and a notch where it is ridden. */
function cornerShapes(fence: Fence, frame: PaperFrame): Shape[] {
  const { widthM, spreadM, corner } = fence;
  const flag = corner?.narrowEnd === 'right' ? 1 : -1;
  const [flagY, wideY] = [(flag * widthM) / 2, (-flag * widthM) / 2];
  const aimY = flagY - flag * aimFromFlagM(fence);
  const outline = closedPath(frame, [
    [-spreadM, wideY],
    [0, flagY],
    [spreadM, wideY],
  ]);
  return [
    { kind: 'path', d: outline, look: 'corner', rail: true },
    ...rails(`M${frame.at(-spreadM, wideY)}L${frame.at(0, flagY)}L${frame.at(spreadM, wideY)}`, widthM),
    square(frame, 0, flagY + flag * 0.25),
    square(frame, -spreadM, wideY - flag * 0.25),
    square(frame, spreadM, wideY - flag * 0.25),
    { kind: 'path', d: `M${frame.at(-spreadM - 0.5, aimY)}L${frame.at(-spreadM * 0.2, aimY)}`, look: 'oneWay' },
  ];
}
