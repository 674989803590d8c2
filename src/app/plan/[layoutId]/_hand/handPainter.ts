import { formatReading, type LayOut, type Plan } from '@/core';
import { planShower } from '../_state/planShower';
import type { Shown } from '../_state/shown';
import { shownByHand, type DragShelf } from './hand';
import type { Hand } from './handState';
import type { Made } from './liveShown';
import { movedNames, partsOf, type Parts } from './movedParts';
import { ribbonPicture } from './ribbonPicture';
import { sameParts } from './sameParts';
import { clearSand, paintSand } from './sandPicture';
import type { PaintedOn, Part, Said, SaidMoved, Told } from './told';

export type PainterWays = {
  layOut: LayOut;
  /** Types distances of exercises; null where the shelf is not there. */
  shelf: DragShelf | null;
  /** An empty canvas to draw parts on. */
  blank: () => PaintedOn;
  /** Runs work once everything is told that is told now. */
  later: (work: () => void) => void;
  say: (said: Said) => void;
};

type Of<Kind extends Told['kind']> = Extract<Told, { kind: Kind }>;

/** All that was told last, by its kind. */
type Known = { [Kind in Exclude<Told['kind'], 'canvas' | 'letters' | 'let-go'>]?: Of<Kind> };

/** `still`: all its parts; what is none of them moved. */
type Standing = { shown: Shown; parts: Parts; still: ReadonlySet<unknown> };

/**
 * Reckons and paints what a hand makes of a layout: what moves on the sand, and the ribbon. It knows nothing of the page and
 * is told everything, so that it runs in a worker as well as in the page.
 */
export function handPainter(ways: PainterWays): (told: Told) => void {
  const known: Known = {};
  const canvases: Record<Part, PaintedOn | null> = { sand: null, ribbon: null };
  const showOn = planShower(ways.layOut);
  const ribbon = ribbonPicture(ways.blank);
  let standing: Standing | null = null;
  /** What the page knows of this hand; a hand that lets go is forgotten. */
  let said: SaidMoved | null = null;
  /** What a hand made that let go: where that stands next, it is not reckoned again. */
  let made: Shown | null = null;
  let isDue = false;
  // Always the same: what it wrote is kept as long as it does.
  const format = (lengthM: number) => formatReading(lengthM, known.ground?.unit ?? 'm');

  const tellMoved = (stand: number, names: string) => {
    if (said?.stand === stand && said.names === names) return;
    said = { kind: 'moved', stand, names };
    ways.say(said);
  };
  /** What a hand makes of what stands; null where the sand is not known yet, or another layout stands. */
  const makes = (hand: Hand, number: number): Made | null => {
    const { stand } = known;
    const ground = known.ground?.ground;
    if (!ground || stand?.number !== number) return null;
    const show = (plan: Plan) => showOn(plan, { ...ground, name: '' });
    standing ??= standingOf(show(stand.plan));
    return shownByHand(hand, standing.shown, ground.arena, show, ways.shelf);
  };
  const letGo = ({ hand, stand, ticket }: Of<'let-go'>) => {
    made = makes(hand, stand)?.shown ?? null;
    ways.say({ kind: 'made', ticket, shown: made });
  };
  const paint = () => {
    isDue = false;
    const { stand, hand } = known;
    const ground = known.ground?.ground;
    if (!ground || !stand) return;
    standing ??= standingOf(showOn(stand.plan, { ...ground, name: '' }));
    const isHeld = hand !== undefined && hand.hand !== null;
    // A hand moves what stood when it took hold. Once it let go, what it made stands, and its picture stays until it is told.
    if (isHeld && hand.stand !== stand.number) return;
    const live = isHeld ? makes(hand.hand!, stand.number) : null;
    const { sand, ribbon: unrolled } = known;
    const looks = known['sand-looks']?.looks;
    if (canvases.sand && live && sand && looks)
      paintSand(canvases.sand, live, { ...sand.scene, still: standing.still, arena: ground.arena, format }, looks);
    else if (canvases.sand) clearSand(canvases.sand);
    const look = known['ribbon-look']?.look;
    if (canvases.ribbon && unrolled && look)
      ribbon.paint(canvases.ribbon, { ...unrolled.scene, shown: live?.shown ?? standing.shown, format, look });
    if (live) tellMoved(stand.number, movedNames(standing.parts, live.shown));
  };
  const hear = (told: Exclude<Told, { kind: 'let-go' }>) => {
    if (told.kind === 'letters') return ribbon.forget();
    if (told.kind === 'canvas') {
      canvases[told.part] = told.canvas;
      if (told.part === 'ribbon') ribbon.forget();
      return;
    }
    if (told.kind === 'hand' && told.hand === null) said = null;
    if (told.kind === 'stand' || told.kind === 'ground') standing = null;
    if (told.kind === 'ground') ribbon.forget();
    // What came again as it was stays the same object, so that it is neither reckoned nor drawn anew.
    Object.assign(known, { [told.kind]: sameParts(known[told.kind], told) });
    if (known.stand && told.kind === 'stand' && made) known.stand.plan = sameParts(made.plan, known.stand.plan);
  };
  return told => {
    if (told.kind === 'let-go') return letGo(told);
    hear(told);
    if (isDue) return;
    isDue = true;
    ways.later(paint);
  };
}

function standingOf(shown: Shown): Standing {
  const parts = partsOf(shown);
  return { shown, parts, still: new Set(parts.values()) };
}
