'use client';

import { sandView } from '@/components/Sand/sandView';
import type { NamedArena } from '@/data/queries/arenas';
import { type ArenaMarks } from '@/files/arenaMarks';
import classes from './ArenaMarksBoard.module.css';

export function MarksDrawing({ arena, marks }: { arena: NamedArena; marks: ArenaMarks }) {
  const view = sandView(arena, 'along');
  const entrance = marks.entrance && view.toPaper(marks.entrance);
  return (
    <g>
      {marks.patches.map(({ id, at, radiusM, words }) => {
        const { x, y } = view.toPaper(at);
        return (
          <g key={id}>
            <circle cx={x} cy={y} r={radiusM} className={classes.patch} />
            <text x={x} y={y} dy="0.35em" className={classes.words}>
              {words}
            </text>
          </g>
        );
      })}
      {entrance && <circle cx={entrance.x} cy={entrance.y} r="0.5" className={classes.entrance} />}
      {marks.homeFacingDeg !== null && (
        <Pointer arena={arena} facingDeg={marks.homeFacingDeg} className={classes.home} words="home" share={0.32} />
      )}
      {marks.fall && (
        <Pointer
          arena={arena}
          facingDeg={marks.fall.facingDeg}
          className={classes.fall}
          words={`falls ${marks.fall.percent} %`}
          share={0.2}
        />
      )}
    </g>
  );
}

type PointerProps = {
  arena: NamedArena;
  facingDeg: number;
  className: string | undefined;
  words: string;
  share: number;
};

/** An arrow from the middle of the sand. */
function Pointer({ arena, facingDeg, className, words, share }: PointerProps) {
  const view = sandView(arena, 'along');
  const rad = (facingDeg * Math.PI) / 180;
  const middle = { xM: arena.widthM / 2, yM: arena.lengthM / 2 };
  const lengthM = Math.min(arena.widthM, arena.lengthM) * share;
  const at = (aheadM: number, asideM: number) =>
    view.toPaper({
      xM: middle.xM + Math.sin(rad) * aheadM + Math.cos(rad) * asideM,
      yM: middle.yM + Math.cos(rad) * aheadM - Math.sin(rad) * asideM,
    });
  const [tail, tip, left, right, label] = [
    at(0, 0),
    at(lengthM, 0),
    at(lengthM - 1.2, 0.7),
    at(lengthM - 1.2, -0.7),
    at(lengthM + 1.6, 0),
  ];
  return (
    <g>
      <path
        d={`M${tail.x} ${tail.y}L${tip.x} ${tip.y}M${left.x} ${left.y}L${tip.x} ${tip.y}L${right.x} ${right.y}`}
        className={className}
      />
      <text x={label.x} y={label.y} dy="0.35em" className={classes.words}>
        {words}
      </text>
    </g>
  );
}
