import { dragFigure, layOutPlaced, typeDistance } from '@/core';
import { handPainter } from './handPainter';
import type { FromPainter, ToPainter } from './told';

/** The painter beside the page: it is told the same, and paints on canvases that the page handed over. */
const paint = handPainter({
  layOut: layOutPlaced,
  shelf: { typeDistance, dragFigure },
  blank: () => new OffscreenCanvas(1, 1),
  later: inNextTask(),
  say,
});

self.onmessage = ({ data }: MessageEvent<ToPainter>) => {
  if (data.kind !== 'faces') return paint(data);
  // Words are measured in the letters they are written in: until those are there, the page paints.
  void Promise.allSettled(data.faces.map(loaded)).then(() => say({ kind: 'ready' }));
};

function say(said: FromPainter): void {
  postMessage(said);
}

async function loaded({ family, source, ...descriptors }: Extract<ToPainter, { kind: 'faces' }>['faces'][number]) {
  const face = new FontFace(family, source, descriptors);
  (self as unknown as { fonts: FontFaceSet }).fonts.add(face);
  await face.load();
}

/** Work is done once everything is heard that was said by then: of several moves of a hand only the last is painted. */
function inNextTask(): (work: () => void) => void {
  const { port1, port2 } = new MessageChannel();
  return work => {
    port1.onmessage = work;
    port2.postMessage(null);
  };
}
