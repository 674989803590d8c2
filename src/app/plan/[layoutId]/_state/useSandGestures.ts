import { poseAt, type FigureGrip, type LayoutHorse, type PointM } from '@/core';
import type { SandView } from '@/components/Sand/sandView';
import { useGesture } from '@use-gesture/react';
import { useEffect, useRef, useState, type RefObject } from 'react';
import { flushSync } from 'react-dom';
import type { Hand } from '../_hand/handState';
import { selectThing, type Selection } from './selection';
import { middleOf, thingOf } from './thingsShown';
import type { PlanControls } from './usePlanEditor';
import type { SandWindow } from './useSandView';

export type Marquee = { from: PointM; to: PointM };

export type GestureSetting = {
  svg: RefObject<SVGSVGElement | null>;
  /** What the hand is listened to on. */
  ground: RefObject<HTMLDivElement | null>;
  controls: PlanControls;
  window: SandWindow;
  selection: Selection;
  horse: LayoutHorse | null;
  /** A track is being ridden: a tap on an item adds it. */
  riding: boolean;
  onSelect: (selection: Selection) => void;
  /** An item was tapped from this side while a track is ridden. */
  onRide: (item: string, from: PointM) => void;
};

/** How near something draws what is dragged, as a share of what is shown. */
const REACH_SHARE = 0.009;
const LONG_PRESS_MS = 500;
/** How near a letter draws a figure, metres. */
const LETTER_REACH_M = 1.5;

type Hold =
  | { kind: 'things'; ids: string[]; item: string }
  | { kind: 'turn'; ids: string[]; about: PointM }
  | { kind: 'via'; track: string; leg: number }
  /** `groundM`: as it was when it was taken hold of; `aheadRad`: the way it grows. */
  | { kind: 'gap'; track: string; leg: number; groundM: number; aheadRad: number }
  | { kind: 'figure'; id: string; grip: FigureGrip }
  | { kind: 'marquee' }
  | { kind: 'sand' };

/** Dragging, turning, panning and pinching on the sand. What is dragged is shown on its way and is one step when let go. */
export function useSandGestures(setting: GestureSetting) {
  const { svg, ground, window: sand } = setting;
  const [marquee, setMarquee] = useState<Marquee | null>(null);
  const frame = useRef(0);
  useEffect(() => () => cancelAnimationFrame(frame.current), []);

  /** At most once a frame, and shown in that frame: the strides move with the hand. */
  const inFrame = (work: () => void) => {
    // A painter beside the page is told at once: it has its own frames.
    if (setting.controls.painting.place === 'worker') return work();
    cancelAnimationFrame(frame.current);
    frame.current = requestAnimationFrame(() => flushSync(work));
  };
  const end = () => {
    cancelAnimationFrame(frame.current);
    setting.controls.live.set(null);
    setMarquee(null);
  };

  useGesture(
    {
      onDrag: ({
        event,
        xy,
        initial,
        delta,
        first,
        last,
        tap,
        elapsedTime,
        altKey,
        shiftKey,
        memo,
        pinching,
        cancel,
      }) => {
        if (pinching) {
          end();
          return void cancel();
        }
        if (tap) return void tapped(setting, event, xy, shiftKey || elapsedTime > LONG_PRESS_MS);
        // What the hand passes over on its way is not looked for: it holds what it holds.
        if (first && event instanceof PointerEvent) ground.current?.setPointerCapture(event.pointerId);
        const hold: Hold = first || !memo ? takeHold(setting, initialTarget(event, initial), shiftKey) : (memo as Hold);
        if (hold.kind === 'sand') {
          const share = unitsPerPixel(svg.current);
          sand.pan(delta[0] * share, delta[1] * share);
          return hold;
        }
        const from = sandPoint(svg.current, sand.view, initial);
        const to = sandPoint(svg.current, sand.view, xy);
        if (!from || !to) return hold;
        if (!last) {
          inFrame(() => follow(setting, hold, { from, to, free: altKey }, setMarquee));
          return hold;
        }
        cancelAnimationFrame(frame.current);
        setMarquee(null);
        // What was made stands in a moment: until then the hand's picture stays.
        if (!letGo(setting, hold, { from, to, free: altKey })) setting.controls.live.set(null);
        return hold;
      },
      onPinch: ({ movement: [scale], origin, memo, first, event }) => {
        if (event.cancelable) event.preventDefault();
        const before = first || typeof memo !== 'number' ? 1 : memo;
        const about = paperPoint(svg.current, origin);
        if (about) sand.zoom(scale / before, about);
        return scale;
      },
      onWheel: ({ event, delta: [, dy], ctrlKey, last }) => {
        if (last || ctrlKey || dy === 0) return;
        event.preventDefault();
        const about = paperPoint(svg.current, [event.clientX, event.clientY]);
        if (about) sand.zoom(Math.exp(-dy * 0.0015), about);
      },
    },
    {
      target: ground,
      eventOptions: { passive: false },
      drag: {
        filterTaps: true,
        threshold: 3,
        keyboardDisplacement: 0,
        pointer: { keys: false, buttons: [1], capture: false },
      },
      pinch: { scaleBounds: { min: 0.05, max: 20 } },
    },
  );
  return marquee;
}

/** What lay under the hand where it began. */
function initialTarget(event: Event, [x, y]: [number, number]): Element | null {
  return document.elementFromPoint(x, y) ?? (event.target as Element | null);
}

function takeHold(setting: GestureSetting, target: Element | null, shift: boolean): Hold {
  const { controls, selection, onSelect, riding } = setting;
  const base = controls.shown;
  if (target?.closest('[data-knob]')) {
    const about = middleOf(base, selection.ids);
    if (about) return { kind: 'turn', ids: selection.ids, about };
  }
  const via = target?.closest<SVGElement>('[data-via]');
  if (via && selection.leg) return { kind: 'via', ...selection.leg };
  const gap = target?.closest<SVGElement>('[data-gap]')?.dataset;
  const taken = gap && gapOf(base, gap.track ?? '', Number(gap.gap));
  if (taken) return taken;
  const figure = riding ? null : figureUnder(target, selection);
  if (figure) return figure;
  const item = target?.closest<SVGElement>('[data-item]')?.dataset.item;
  if (item !== undefined && !riding) {
    const thing = thingOf(base.resolved, item);
    const ids = selection.ids.includes(thing) ? selection.ids : [thing];
    if (ids !== selection.ids) onSelect({ ids, leg: null });
    return { kind: 'things', ids, item };
  }
  return shift ? { kind: 'marquee' } : { kind: 'sand' };
}

/** A figure that is selected, or an end of it: what is not selected does not hinder the hand that moves the sheet. */
function figureUnder(target: Element | null, { ids }: Selection): Hold | null {
  const held = target?.closest<SVGElement>('[data-figure]')?.dataset;
  if (!held?.figure || !ids.includes(held.figure) || ids.length > 1) return null;
  const { grip } = held;
  return { kind: 'figure', id: held.figure, grip: grip === 'begin' || grip === 'end' ? grip : 'whole' };
}

/** A distance of an exercise, to be dragged. */
function gapOf({ tracks }: PlanControls['shown'], track: string, leg: number): Hold | null {
  const reckoned = tracks.find(({ id }) => id === track);
  const ridden = reckoned?.kind === 'items' ? reckoned.legs[leg] : undefined;
  if (!ridden) return null;
  const { headingRad } = poseAt(ridden.chain, ridden.chain.lengthM / 2);
  return { kind: 'gap', track, leg, groundM: ridden.groundM, aheadRad: headingRad };
}

type Way = { from: PointM; to: PointM; free: boolean };

/** What the hand does with what it holds; null where that is no change of the plan. */
function handOf({ window: sand, horse }: GestureSetting, hold: Hold, { from, to, free }: Way): Hand | null {
  switch (hold.kind) {
    case 'things': {
      const by = { xM: to.xM - from.xM, yM: to.yM - from.yM };
      const reachM = Math.max(sand.box.width, sand.box.height) * REACH_SHARE;
      return { ...hold, by, free, reachM, horse: horse?.id ?? null };
    }
    case 'turn':
      return { ...hold, towards: to, free };
    case 'figure': {
      const by = { xM: to.xM - from.xM, yM: to.yM - from.yM };
      return { ...hold, by, reachM: free ? 0 : LETTER_REACH_M };
    }
    case 'gap': {
      const aheadM = (to.xM - from.xM) * Math.cos(hold.aheadRad) + (to.yM - from.yM) * Math.sin(hold.aheadRad);
      const groundM = hold.groundM + aheadM;
      // To 5 cm, as it is set.
      return { kind: 'gap', track: hold.track, leg: hold.leg, groundM: free ? groundM : Math.round(groundM * 20) / 20 };
    }
    case 'via':
      return { kind: 'edits', edits: [viaEdit(hold, to)] };
    default:
      return null;
  }
}

function follow(setting: GestureSetting, hold: Hold, way: Way, setMarquee: (marquee: Marquee) => void): void {
  if (hold.kind === 'marquee') return setMarquee({ from: way.from, to: way.to });
  const hand = handOf(setting, hold, way);
  if (hand) setting.controls.follow(hand);
}

/** Whether anything was made. */
function letGo(setting: GestureSetting, hold: Hold, way: Way): boolean {
  const { controls, onSelect } = setting;
  if (hold.kind === 'marquee') {
    const within = (a: number, b: number, value: number) => value >= Math.min(a, b) && value <= Math.max(a, b);
    const { resolved } = controls.shown;
    const inside = resolved.layout.items.filter(
      ({ at }) => within(way.from.xM, way.to.xM, at.xM) && within(way.from.yM, way.to.yM, at.yM),
    );
    onSelect({ ids: [...new Set(inside.map(({ id }) => thingOf(resolved, id)))], leg: null });
    return false;
  }
  const hand = handOf(setting, hold, way);
  if (hand) controls.letGo(hand);
  return hand !== null;
}

function viaEdit(hold: Extract<Hold, { kind: 'via' }>, to: PointM) {
  const via = { xM: Math.round(to.xM * 100) / 100, yM: Math.round(to.yM * 100) / 100 };
  return { kind: 'change-leg' as const, track: hold.track, leg: hold.leg, changes: { track: { via } } };
}

function tapped(setting: GestureSetting, event: Event, xy: [number, number], together: boolean): void {
  const { controls, selection, onSelect, onRide, riding, svg, window: sand } = setting;
  const target = initialTarget(event, xy);
  // What is pressed by itself says what it does.
  if (target?.closest('[data-caution]')) return;
  const item = target?.closest<SVGElement>('[data-item]')?.dataset.item;
  if (item !== undefined) {
    const at = sandPoint(svg.current, sand.view, xy);
    if (riding && at) return onRide(item, at);
    return onSelect(selectThing(selection, thingOf(controls.shown.resolved, item), together));
  }
  const leg = target?.closest<SVGElement>('[data-leg]')?.dataset;
  if (leg?.leg !== undefined && leg.track !== undefined)
    return onSelect({ ids: [], leg: { track: leg.track, leg: Number(leg.leg) } });
  const figure = target?.closest<SVGElement>('[data-figure]')?.dataset.figure;
  if (figure !== undefined && !riding) return onSelect(selectThing(selection, figure, together));
  if (!together && !target?.closest('[data-knob], [data-via], [data-gap], [data-grow]'))
    onSelect({ ids: [], leg: null });
}

function paperPoint(svg: SVGSVGElement | null, [x, y]: readonly [number, number]) {
  const matrix = svg?.getScreenCTM();
  if (!matrix) return null;
  const at = new DOMPoint(x, y).matrixTransform(matrix.inverse());
  return { x: at.x, y: at.y };
}

/** From a place on the screen to a place on the sand. */
function sandPoint(svg: SVGSVGElement | null, view: SandView, xy: readonly [number, number]): PointM | null {
  const paper = paperPoint(svg, xy);
  return paper && view.toSand(paper);
}

function unitsPerPixel(svg: SVGSVGElement | null): number {
  const matrix = svg?.getScreenCTM();
  return matrix ? 1 / matrix.a : 0;
}
