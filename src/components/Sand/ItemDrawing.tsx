import { aimFromFlagM, type Fence, type Item } from '@/core';
import { memo } from 'react';
import classes from './ItemDrawing.module.css';
import { drawn, paperDegrees, type SandView } from './sandView';

type ItemDrawingProps = { item: Item; view: SandView };

/** Drawn a little thicker than a pole is, so that it can be seen. */
const POLE_M = 0.18;
const STAND_M = 0.5;
const BLOCK_M = 0.5;
const BANDS = 7;

/**
 * An item as it looks from above, to scale. Drawn in its own frame: x the way it is ridden, y to the right of it. Its
 * place on the sand is written beside it, to the micron.
 */
export const ItemDrawing = memo(function ItemDrawing({ item, view }: ItemDrawingProps) {
  const { x, y } = view.toPaper(item.at);
  const degrees = 'headingRad' in item ? paperDegrees(view, item.headingRad) : 0;
  return (
    <g
      transform={`translate(${x} ${y}) rotate(${degrees})`}
      className={classes.item}
      data-drawn={item.id}
      data-kind={item.kind}
      data-x-m={drawn(item.at.xM)}
      data-y-m={drawn(item.at.yM)}
    >
      <Shape item={item} />
    </g>
  );
});

function Shape({ item }: { item: Item }) {
  switch (item.kind) {
    case 'pole':
      return (
        <>
          <Rail lengthM={item.lengthM} />
          {item.raised.leftM > 0 && <Square y={-item.lengthM / 2} sideM={BLOCK_M} />}
          {item.raised.rightM > 0 && <Square y={item.lengthM / 2} sideM={BLOCK_M} />}
        </>
      );
    case 'fence':
      return <FenceShape fence={item} />;
    case 'guide':
      return <line x1={-item.lengthM / 2} x2={item.lengthM / 2} y1={0} y2={0} className={classes.guide} />;
    case 'cone':
      return (
        <>
          <circle r={0.32} className={classes.cone} />
          <circle r={0.1} className={classes.coneTop} />
        </>
      );
    case 'block':
      return <Square y={0} sideM={BLOCK_M} />;
    case 'marker':
      return <path d="M0 0.3V-0.7L0.7 -0.45L0 -0.2" className={classes.marker} />;
  }
}

function Square({ x = 0, y, sideM }: { x?: number; y: number; sideM: number }) {
  return <rect x={x - sideM / 2} y={y - sideM / 2} width={sideM} height={sideM} className={classes.block} />;
}

/** A pole across the way it is ridden, with its bands. */
function Rail({ x = 0, lengthM, thickM = POLE_M }: { x?: number; lengthM: number; thickM?: number }) {
  const bandM = drawn(lengthM / BANDS);
  const ends = { x1: x, x2: x, y1: -lengthM / 2, y2: lengthM / 2 };
  return (
    <>
      <line {...ends} className={classes.edge} strokeWidth={thickM + 0.07} />
      <line {...ends} className={classes.rail} strokeWidth={thickM} />
      <line {...ends} className={classes.bands} strokeWidth={thickM} strokeDasharray={`${bandM} ${bandM}`} />
    </>
  );
}

function FenceShape({ fence }: { fence: Fence }) {
  const { widthM, spreadM, groundLineBeforeM, filler, ridden } = fence;
  const frontM = -spreadM / 2;
  return (
    <>
      {groundLineBeforeM !== null && <Rail x={frontM - groundLineBeforeM} lengthM={widthM} thickM={POLE_M * 0.6} />}
      {filler && (
        <rect x={frontM - 0.22} y={-widthM * 0.42} width={0.44} height={widthM * 0.84} className={classes.filler} />
      )}
      <Rails fence={fence} />
      {ridden === 'one-way' && (
        <path d="M0.9 -0.45L1.45 0L0.9 0.45" transform={`translate(${spreadM / 2} 0)`} className={classes.way} />
      )}
    </>
  );
}

function Rails({ fence }: { fence: Fence }) {
  const { form, widthM, spreadM } = fence;
  switch (form) {
    case 'cross-rail':
      return (
        <>
          <Stands xs={[0]} widthM={widthM} />
          <path d={crossing(widthM)} className={classes.edge} strokeWidth={POLE_M + 0.07} />
          <path d={crossing(widthM)} className={classes.rail} strokeWidth={POLE_M * 0.9} />
          <path d={crossing(widthM)} className={classes.bands} strokeWidth={POLE_M * 0.9} strokeDasharray="0.4 0.4" />
        </>
      );
    case 'oxer':
      return <RailsAt xs={[-spreadM / 2, spreadM / 2]} widthM={widthM} />;
    case 'triple-bar':
      return <RailsAt xs={[-spreadM / 2, 0, spreadM / 2]} widthM={widthM} />;
    case 'wall':
      return (
        <>
          <rect x={-0.28} y={-widthM / 2} width={0.56} height={widthM} className={classes.wall} />
          <Stands xs={[0]} widthM={widthM} />
          <Rail lengthM={widthM} thickM={POLE_M * 0.7} />
        </>
      );
    case 'corner':
      return <CornerRails fence={fence} />;
    case 'vertical':
    case 'narrow':
      return <RailsAt xs={[0]} widthM={widthM} />;
  }
}

function crossing(widthM: number): string {
  return `M-0.16 ${-widthM / 2}L0.16 ${widthM / 2}M0.16 ${-widthM / 2}L-0.16 ${widthM / 2}`;
}

function RailsAt({ xs, widthM }: { xs: number[]; widthM: number }) {
  return (
    <>
      <Stands xs={xs} widthM={widthM} />
      {xs.map(x => (
        <Rail key={x} x={x} lengthM={widthM} />
      ))}
    </>
  );
}

function Stands({ xs, widthM }: { xs: number[]; widthM: number }) {
  return xs.map(x => (
    <g key={x}>
      <rect x={x - STAND_M / 2} y={-widthM / 2 - STAND_M} width={STAND_M} height={STAND_M} className={classes.stand} />
      <rect x={x - STAND_M / 2} y={widthM / 2} width={STAND_M} height={STAND_M} className={classes.stand} />
    </g>
  ));
}

/** Two rails that meet at the flag, and a notch where it is ridden. */
function CornerRails({ fence }: { fence: Fence }) {
  const { widthM, spreadM, corner } = fence;
  const flag = corner?.narrowEnd === 'right' ? 1 : -1;
  const [flagY, wideY] = [(flag * widthM) / 2, (-flag * widthM) / 2];
  const path = `M${-spreadM} ${wideY}L0 ${flagY}L${spreadM} ${wideY}`;
  const aimY = flagY - flag * aimFromFlagM(fence);
  return (
    <>
      <path d={path} className={classes.edge} strokeWidth={POLE_M + 0.07} />
      <path d={path} className={classes.rail} strokeWidth={POLE_M} />
      <path d={path} className={classes.bands} strokeWidth={POLE_M} strokeDasharray="0.5 0.5" />
      <Square y={flagY + flag * 0.25} sideM={STAND_M} />
      <Square x={-spreadM} y={wideY - flag * 0.25} sideM={STAND_M} />
      <Square x={spreadM} y={wideY - flag * 0.25} sideM={STAND_M} />
      <line x1={-spreadM - 0.5} x2={-spreadM * 0.2} y1={aimY} y2={aimY} className={classes.way} />
    </>
  );
}
