import { endLines } from './endLines';

type EndWordsProps = { words: string; x: number; y: number; className?: string };

const LINE = 13;

/** What a line is, behind its end, so that nothing of the picture lies under the words. */
export function EndWords({ words, x, y, className }: EndWordsProps) {
  const lines = endLines(words);
  const top = y + 4 - ((lines.length - 1) * LINE) / 2;
  return (
    <text x={x + 5} y={top} className={className}>
      {lines.map((line, index) => (
        <tspan key={line} x={x + 5} dy={index === 0 ? 0 : LINE}>
          {line}
        </tspan>
      ))}
    </text>
  );
}
