'use client';

import { useLengths } from '@/components/Lengths/LengthsProvider';
import { TEST_PACES, TEST_QUALITIES, type StrideTestReading, type TestQuality } from '@/core';
import { scaleLinear } from 'd3-scale';
import classes from './BeforeAfter.module.css';

export type Half = { reading: StrideTestReading; quality: TestQuality };

type BeforeAfterProps = { title: string; before: Half; after: Half };

const SIZE = { width: 340, left: 50, right: 122, row: 40, bar: 13 };
const COUNTS = 5;

/** A day's two tests in one gait side by side: each pace as two bars as long as the strides, and how they went. */
export default function BeforeAfterPicture({ title, before, after }: BeforeAfterProps) {
  const { format, say } = useLengths();
  const rows = TEST_PACES.flatMap(pace => {
    const [a, b] = [before.reading.paces[pace], after.reading.paces[pace]];
    return a && b ? [{ pace, a, b }] : [];
  });
  if (rows.length === 0) return null;
  const lengths = rows.flatMap(({ a, b }) => [a.stride?.strideM ?? 0, b.stride?.strideM ?? 0]);
  const x = scaleLinear([0, Math.max(...lengths, 0.1)], [SIZE.left, SIZE.width - SIZE.right]);
  const words = ({ strides, stride }: (typeof rows)[number]['a']) =>
    `${Math.round(strides.mean * 10) / 10}${stride ? ` · ${format(stride.strideM)}` : ' strides'}`;
  const label = rows.map(({ pace, a, b }) => `${pace}: ${words(a)} before, ${words(b)} after`).join('; ');
  return (
    <figure className={classes.figure}>
      <figcaption>{say(title)}</figcaption>
      <svg
        viewBox={`0 0 ${SIZE.width} ${rows.length * SIZE.row}`}
        className={classes.chart}
        role="img"
        aria-label={say(`${title}: ${label}`)}
      >
        {rows.map(({ pace, a, b }, index) => (
          <g key={pace} transform={`translate(0 ${index * SIZE.row})`}>
            <text x={0} y={SIZE.row / 2} dy="0.2em">
              {pace}
            </text>
            {[a, b].map((half, side) => {
              const y = 4 + side * (SIZE.bar + 3);
              const endX = x(half.stride?.strideM ?? 0);
              return (
                <g key={side} data-half={side === 0 ? 'before' : 'after'}>
                  <rect x={SIZE.left} y={y} width={Math.max(1, endX - SIZE.left)} height={SIZE.bar} />
                  <text x={endX + 6} y={y + SIZE.bar - 2}>
                    {words(half)}
                  </text>
                </g>
              );
            })}
          </g>
        ))}
      </svg>
      <dl className={classes.qualities}>
        {TEST_QUALITIES.map(quality => {
          const [a, b] = [before.quality[quality], after.quality[quality]];
          return a === null || b === null ? null : (
            <div key={quality}>
              <dt>{quality}</dt>
              <dd>
                <Dots of={a} half="before" /> <Dots of={b} half="after" />
                <span>
                  {a} → {b}
                </span>
              </dd>
            </div>
          );
        })}
      </dl>
      <p className={classes.key} aria-hidden="true">
        <span data-half="before" /> before schooling <span data-half="after" /> after
      </p>
    </figure>
  );
}

/** A mark of 1 to 5 as so many dots. */
function Dots({ of, half }: { of: number; half: 'before' | 'after' }) {
  return (
    <svg width={COUNTS * 9} height={9} aria-hidden="true" data-half={half} className={classes.dots}>
      {Array.from({ length: COUNTS }, (_, index) => (
        <circle key={index} cx={index * 9 + 4.5} cy={4.5} r={3} data-on={index < Math.round(of) || undefined} />
      ))}
    </svg>
  );
}
