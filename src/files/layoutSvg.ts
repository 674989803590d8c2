import {
  arenaLetters,
  arenaLines,
  chainsOf,
  footprintCorners,
  poleEnds,
  poseAt,
  type Chain,
  type Item,
  type Layout,
  type PointM,
  type ReckonedTrack,
} from '@/core';

/** A layout as an SVG file: one unit is one metre, A at the bottom, printed at 1:100 where a program keeps the size. */

const MARGIN_M = 2;
const MM_PER_M = 10;

/** Draws a layout with its tracks, for any program that opens SVG. */
export function layoutSvg(layout: Layout, tracks: readonly ReckonedTrack[]): string {
  const { widthM, lengthM } = layout.arena;
  const paper = ({ xM, yM }: PointM) => `${rounded(xM)} ${rounded(lengthM - yM)}`;
  const box = [-MARGIN_M, -MARGIN_M, widthM + 2 * MARGIN_M, lengthM + 2 * MARGIN_M + 2];
  const parts = [
    `<rect width="${widthM}" height="${lengthM}" fill="#fff" stroke="#000" stroke-width="0.12"/>`,
    ...arenaLines(layout.arena).map(
      ({ from, to }) =>
        `<path d="M${paper(from)}L${paper(to)}" stroke="#bbb" stroke-width="0.04" stroke-dasharray="0.5 0.5"/>`,
    ),
    ...arenaLetters(layout.arena).map(({ letter, at }) => label(outside(at, layout), letter, lengthM)),
    ...tracks.map(
      track =>
        `<path d="${chainsOf(track)
          .map(chain => chainPath(chain, paper))
          .join('')}" fill="none" stroke="#555" stroke-width="0.1"/>`,
    ),
    ...layout.items.map(item => itemShape(item, paper, lengthM)),
    scaleBar(lengthM),
  ];
  return [
    `<svg xmlns="http://www.w3.org/2000/svg" width="${box[2]! * MM_PER_M}mm" height="${box[3]! * MM_PER_M}mm" viewBox="${box.join(' ')}" font-family="sans-serif">`,
    `<title>${escaped(layout.name)}</title>`,
    ...parts,
    '</svg>',
    '',
  ].join('\n');
}

const rounded = (metres: number) => Math.round(metres * 1e4) / 1e4 + 0;

const ESCAPES: Record<string, string> = { '&': '&amp;', '<': '&lt;', '>': '&gt;', '"': '&quot;' };

function escaped(text: string): string {
  return text.replace(/[&<>"]/g, letter => ESCAPES[letter]!);
}

function label({ xM, yM }: PointM, text: string, lengthM: number, sizeM = 0.9): string {
  return `<text x="${rounded(xM)}" y="${rounded(lengthM - yM + sizeM / 3)}" font-size="${sizeM}" text-anchor="middle">${escaped(text)}</text>`;
}

/** Letters on a wall stand outside it. */
function outside({ xM, yM }: PointM, { arena }: Layout): PointM {
  const beside = (value: number, most: number) => (value === 0 ? -1 : value === most ? most + 1 : value);
  return { xM: beside(xM, arena.widthM), yM: xM === 0 || xM === arena.widthM ? yM : beside(yM, arena.lengthM) };
}

function itemShape(item: Item, paper: (at: PointM) => string, lengthM: number): string {
  switch (item.kind) {
    case 'pole': {
      const { left, right } = poleEnds(item);
      return `<path d="M${paper(left)}L${paper(right)}" stroke="#000" stroke-width="0.15"/>`;
    }
    case 'cone':
    case 'marker':
      return `<circle cx="${rounded(item.at.xM)}" cy="${rounded(lengthM - item.at.yM)}" r="0.25" fill="#000"/>`;
    default: {
      const corners = footprintCorners(item).map(paper).join('L');
      const shape = `<path d="M${corners}Z" fill="#ddd" stroke="#000" stroke-width="0.08"/>`;
      return item.kind === 'fence'
        ? shape + label({ xM: item.at.xM, yM: item.at.yM + 1.2 }, item.id, lengthM, 0.7)
        : shape;
    }
  }
}

const HALF_ROUND_RAD = Math.PI * 0.9;

function chainPath(chain: Chain, paper: (at: PointM) => string): string {
  let path = `M${paper(chain.start.at)}`;
  let alongM = 0;
  const on = (metres: number) => {
    alongM = Math.min(chain.lengthM, alongM + metres);
    return paper(poseAt(chain, alongM).at);
  };
  for (const segment of chain.segments) {
    if (segment.kind === 'line') {
      path += `L${on(segment.lengthM)}`;
      continue;
    }
    const pieces = Math.max(1, Math.ceil(Math.abs(segment.sweepRad) / HALF_ROUND_RAD));
    const pieceM = (segment.radiusM * Math.abs(segment.sweepRad)) / pieces;
    const radiusM = rounded(segment.radiusM);
    for (let piece = 0; piece < pieces; piece += 1)
      path += `A${radiusM} ${radiusM} 0 0 ${segment.sweepRad < 0 ? 1 : 0} ${on(pieceM)}`;
  }
  return path;
}

function scaleBar(lengthM: number): string {
  const y = lengthM + MARGIN_M;
  return `<path d="M0 ${y - 0.3}v0.6M0 ${y}h10M10 ${y - 0.3}v0.6" stroke="#000" stroke-width="0.08" data-scale-bar="10"/><text x="10.5" y="${y + 0.3}" font-size="0.9">10 m</text>`;
}
