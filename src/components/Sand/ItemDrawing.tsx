import { aimFromFlagM, RAILS_ACROSS, type Fence, type Item } from '@/core';
import { memo } from 'react';
import classes from './ItemDrawing.module.css';
import { boxPath, closedPath, paperFrame, type PaperFrame } from './paperFrame';
import { drawn, type SandView } from './sandView';

type ItemDrawingProps = { item: Item; view: SandView };

/** Drawn a little thicker than a pole is, so that it can be seen. */
const POLE_M = 0.18;
const STAND_M = 0.5;
const BLOCK_M = 0.5;
const BANDS = 7;

/** An item as it looks from above, to scale. */
export const ItemDrawing = memo(function ItemDrawing({ item, view }: ItemDrawingProps) {
  const headingRad = 'headingRad' in item ? item.headingRad : 0;
  return (
    <g className={classes.item} data-drawn={item.id} data-kind={item.kind}>
      <Shape item={item} frame={paperFrame(view, { at: item.at, headingRad })} />
    </g>
  );
});

type ShapeProps<Kind extends Item = Item> = { item: Kind; frame: PaperFrame };

function Shape({ item, frame }: ShapeProps) {
  const { x, y } = frame.point(0, 0);
  switch (item.kind) {
    case 'pole': {
      const halfM = item.lengthM / 2;
      return (
        <>
          <Rails d={across(frame, 0, item.lengthM)} lengthM={item.lengthM} />
          {item.raised.leftM > 0 && <Square frame={frame} y={-halfM} />}
          {item.raised.rightM > 0 && <Square frame={frame} y={halfM} />}
        </>
      );
    }
    case 'fence':
      return <FenceShape item={item} frame={frame} />;
    case 'guide':
      return (
        <path
          d={`M${frame.at(-item.lengthM / 2, 0)}L${frame.at(item.lengthM / 2, 0)}`}
          className={classes.guide}
          data-rail=""
        />
      );
    case 'cone':
      return (
        <>
          <circle cx={x} cy={y} r={0.32} className={classes.cone} data-rail="" />
          <circle cx={x} cy={y} r={0.1} className={classes.coneTop} />
        </>
      );
    case 'block':
      return <path d={boxPath(frame, 0, 0, BLOCK_M, BLOCK_M)} className={classes.block} data-rail="" />;
    case 'marker':
      return (
        <>
          <circle cx={x} cy={y} r={0.12} className={classes.coneTop} data-rail="" />
          <path d={`M${x} ${y}v-1l0.7 0.25l-0.7 0.25`} className={classes.marker} />
        </>
      );
  }
}

function Square({ frame, x = 0, y }: { frame: PaperFrame; x?: number; y: number }) {
  return <path d={boxPath(frame, x, y, BLOCK_M, BLOCK_M)} className={classes.block} />;
}

/** A rail across the way it is ridden. */
function across({ at }: PaperFrame, x: number, lengthM: number): string {
  return `M${at(x, -lengthM / 2)}L${at(x, lengthM / 2)}`;
}

/** Rails with their bands. */
function Rails({ d, lengthM, thickM = POLE_M }: { d: string; lengthM: number; thickM?: number }) {
  const bandM = drawn(lengthM / BANDS);
  return (
    <>
      <path d={d} className={classes.edge} strokeWidth={thickM + 0.07} data-rail="" />
      <path d={d} className={classes.rail} strokeWidth={thickM} />
      <path d={d} className={classes.bands} strokeWidth={thickM} strokeDasharray={`${bandM} ${bandM}`} />
    </>
  );
}

function FenceShape({ item, frame }: ShapeProps<Fence>) {
  const { widthM, spreadM, groundLineBeforeM, filler, ridden } = item;
  const frontM = -spreadM / 2;
  return (
    <>
      {groundLineBeforeM !== null && (
        <path
          d={across(frame, frontM - groundLineBeforeM, widthM)}
          className={classes.groundLine}
          strokeWidth={POLE_M * 0.6}
        />
      )}
      {filler && <path d={boxPath(frame, frontM, 0, 0.44, widthM * 0.84)} className={classes.filler} />}
      <Built item={item} frame={frame} />
      {ridden === 'one-way' && (
        <path
          d={`M${frame.at(-frontM + 0.9, -0.45)}L${frame.at(-frontM + 1.45, 0)}L${frame.at(-frontM + 0.9, 0.45)}`}
          className={classes.way}
        />
      )}
    </>
  );
}

function Built({ item, frame }: ShapeProps<Fence>) {
  const { form, widthM, spreadM } = item;
  if (form === 'corner') return <Corner item={item} frame={frame} />;
  const xs = RAILS_ACROSS[form].map(share => share * spreadM);
  const sideM = (widthM + STAND_M) / 2;
  const stands = xs.flatMap(x => [
    boxPath(frame, x, -sideM, STAND_M, STAND_M),
    boxPath(frame, x, sideM, STAND_M, STAND_M),
  ]);
  const rails = form === 'cross-rail' ? crossed(frame, widthM) : xs.map(x => across(frame, x, widthM)).join('');
  return (
    <>
      {form === 'wall' && <path d={boxPath(frame, 0, 0, 0.56, widthM)} className={classes.wall} />}
      <path d={stands.join('')} className={classes.block} />
      <Rails d={rails} lengthM={widthM} thickM={form === 'wall' ? POLE_M * 0.7 : POLE_M} />
    </>
  );
}

function crossed({ at }: PaperFrame, widthM: number): string {
  return `M${at(-0.16, -widthM / 2)}L${at(0.16, widthM / 2)}M${at(0.16, -widthM / 2)}L${at(-0.16, widthM / 2)}`;
}

/** Two rails that meet at the flag, and a notch where it is ridden. */
function Corner({ item, frame }: ShapeProps<Fence>) {
  const { widthM, spreadM, corner } = item;
  const flag = corner?.narrowEnd === 'right' ? 1 : -1;
  const [flagY, wideY] = [(flag * widthM) / 2, (-flag * widthM) / 2];
  const rails = `M${frame.at(-spreadM, wideY)}L${frame.at(0, flagY)}L${frame.at(spreadM, wideY)}`;
  const aimY = flagY - flag * aimFromFlagM(item);
  return (
    <>
      <path
        d={closedPath(frame, [
          [-spreadM, wideY],
          [0, flagY],
          [spreadM, wideY],
        ])}
        className={classes.corner}
        data-rail=""
      />
      <Rails d={rails} lengthM={widthM} />
      <Square frame={frame} y={flagY + flag * 0.25} />
      <Square frame={frame} x={-spreadM} y={wideY - flag * 0.25} />
      <Square frame={frame} x={spreadM} y={wideY - flag * 0.25} />
      <path d={`M${frame.at(-spreadM - 0.5, aimY)}L${frame.at(-spreadM * 0.2, aimY)}`} className={classes.way} />
    </>
  );
}
