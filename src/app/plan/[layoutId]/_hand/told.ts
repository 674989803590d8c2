import type { Looks } from '@/components/Sand/paintShapes';
import type { PaperBox } from '@/components/Sand/Sand';
import type { SandOrientation } from '@/components/Sand/sandView';
import type { LengthUnit, Plan } from '@/core';
import type { RibbonLook } from '../_components/ribbon/paintColumn';
import type { RibbonFrame } from '../_components/ribbon/ribbonFrame';
import type { Pointed, Selection } from '../_state/selection';
import type { EditorGround, Shown } from '../_state/shown';
import type { FontFaceData } from './fontFaces';
import type { Hand } from './handState';

/** What is painted: what moves on the sand, and the ribbon. */
export type Part = 'sand' | 'ribbon';

export type PaintedOn = HTMLCanvasElement | OffscreenCanvas;

/** How the sand is looked at. */
export type SandScene = {
  orientation: SandOrientation;
  box: PaperBox;
  /** The size of text, metres of paper. */
  textM: number;
  /** In pixels of the screen. */
  widthPx: number;
  heightPx: number;
  chosenTrack: string | null;
  /** The horse whose strides are shown. */
  horse: string | null;
  selection: Selection;
  marked: Pointed;
};

/** How the ribbon is looked at. */
export type RibbonScene = {
  trackId: string;
  frame: RibbonFrame;
  /** The horse whose strides are drawn strongest. */
  chosen: string | null;
  rolledPx: number;
  /** How far it is scrolled to the side. */
  scrolledPx: number;
  /** Pixels of the screen to one of the page. */
  sharpness: number;
};

/** What the painter is told. All of it is data or can be handed over to a worker. */
export type Told =
  | { kind: 'ground'; ground: EditorGround; unit: LengthUnit }
  | { kind: 'stand'; number: number; plan: Plan }
  /** What a hand makes of the standing layout of that number; null once it let go. */
  | { kind: 'hand'; hand: Hand | null; stand: number }
  /** A hand lets go of it: what it made is said, under the ticket. */
  | { kind: 'let-go'; hand: Hand; stand: number; ticket: number }
  | { kind: 'canvas'; part: Part; canvas: PaintedOn | null }
  | { kind: 'sand'; scene: SandScene }
  | { kind: 'sand-looks'; looks: Looks }
  | { kind: 'ribbon'; scene: RibbonScene }
  | { kind: 'ribbon-look'; look: RibbonLook }
  /** Other letters are there: what is drawn in the old ones is drawn anew. */
  | { kind: 'letters' };

/** The names of what the painter painted as moved, a line for each. */
export type SaidMoved = { kind: 'moved'; stand: number; names: string };
/** What a hand made that let go, reckoned; null where it made nothing. */
export type SaidMade = { kind: 'made'; ticket: number; shown: Shown | null };
/** What the painter says. */
export type Said = SaidMoved | SaidMade;

/** What goes to and fro where the painter is beside the page: it needs letters of its own, and says when it has them. */
export type ToPainter = Told | { kind: 'faces'; faces: FontFaceData[] };
export type FromPainter = Said | { kind: 'ready' };
