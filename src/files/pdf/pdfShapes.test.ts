import { pathShape, textShape, type Shape } from '../shape';
import type { PdfPaper } from './pdfPaper';
import { pdfShapes } from './pdfShapes';

const PT_PER_MM = 72 / 25.4;

/** What a document is asked for shapes that are 4 mm a metre, 20 mm across and 30 down the page. */
function asked(shapes: readonly Shape[], isClipped = false): string[] {
  const calls: string[] = [];
  const doc: unknown = new Proxy(
    {},
    {
      get:
        (_, name) =>
        (...given: unknown[]) => {
          const words = given.map(one => (typeof one === 'number' ? one.toFixed(3) : JSON.stringify(one)));
          calls.push(`${String(name)} ${words.join(' ')}`.trim());
          return name === 'widthOfString' ? 10 : doc;
        },
    },
  );
  const box = { x: 1, y: 2, widthM: 10, heightM: 5 };
  pdfShapes({ doc } as PdfPaper, shapes, { ...{ xMm: 20, yMm: 30, mmPerM: 4, box, isClipped } });
  return calls;
}
const pt = (...mm: number[]) => mm.map(one => (one * PT_PER_MM).toFixed(3)).join(' ');

test('what is seen begins in the corner of the frame, and nothing is drawn outside one that is clipped', () => {
  expect(asked([])).toEqual(['save', `translate ${pt(20 - 4, 30 - 8)}`, 'restore']);
  expect(asked([], true)).toEqual([
    ...['save', `rect ${pt(20, 30, 40, 20)}`, 'clip', `translate ${pt(16, 22)}`, 'restore'],
  ]);
});

test('a path is drawn in its own metres: its stroke, its fill, or both, and dashes as long as the gaps between them', () => {
  const drawn = (shape: Parameters<typeof pathShape>[1]) => asked([pathShape('M0 0L1 1', shape)]).slice(5, -2);
  expect(asked([pathShape('M0 0L1 1', { stroke: '#777', strokeM: 0.1 })]).slice(2, 6)).toEqual([
    ...['save', `scale ${pt(4)}`, 'path "M0 0L1 1"', 'lineWidth 0.100'],
  ]);
  expect(drawn({ stroke: '#777', strokeM: 0.1 })).toEqual(['lineWidth 0.100', 'stroke "#777"']);
  expect(drawn({})).toEqual(['lineWidth 0.000', 'stroke "#000"']);
  expect(drawn({ fill: '#fff' })).toEqual(['lineWidth 0.000', 'fill "#fff"']);
  expect(drawn({ fill: '#fff', stroke: '#000' })[1]).toBe('fillAndStroke "#fff" "#000"');
  expect(drawn({ stroke: '#000', dashM: 0.3 })[1]).toBe('dash 0.300 {"space":0.3}');
});

test('a text is as high as it says, and stands in the middle of its place', () => {
  const [font, size, colour, , text] = asked([textShape({ x: 3, y: 4 }, 'Fen', 0.5, true)]).slice(2);
  expect([font, size, colour]).toEqual(['font "latinBold"', `fontSize ${pt(2)}`, 'fillColor "#000000"']);
  // Ten points wide; six tenths of its height stand over the middle.
  const [x, y] = [12 * PT_PER_MM - 5, (16 - 1.2) * PT_PER_MM].map(one => one.toFixed(3));
  expect(text).toBe(`text "Fen" ${x} ${y} {"lineBreak":false}`);
  expect(asked([textShape({ x: 3, y: 4 }, 'Fen', 0.5)])[2]).toBe('font "latin"');
});
