import { FIGURE_POINTS, standingMarks, type PassMark, type TappedMark } from '@/core';
import { Keys } from '@/app/ride/_components/Keys';

type FigurePadProps = {
  /** What the figures that are asked are called, in order. */
  figures: readonly string[];
  marks: readonly PassMark[];
  ready: boolean;
  onMark: (mark: TappedMark) => void;
};

/** Figure by figure: shape, bend and rhythm kept or lost. */
export function FigurePad({ figures, marks, ready, onMark }: FigurePadProps) {
  const standing = standingMarks(marks);
  return (
    <section aria-label="Figures">
      {figures.map((figure, index) => (
        <div key={index}>
          <h2>{figures.length === 1 ? figure : `${index + 1}. ${figure}`}</h2>
          {FIGURE_POINTS.map(point => {
            const said = standing.find(
              mark => mark.kind === 'figure' && mark.place === index + 1 && mark.point === point,
            );
            return (
              <Keys
                key={point}
                label={`${point} of ${figure}`}
                value={said?.kind === 'figure' ? (said.kept ? 'kept' : 'lost') : null}
                disabled={!ready}
                options={[
                  { value: 'kept', label: `${point} kept` },
                  { value: 'lost', label: `${point} lost` },
                ]}
                onChoose={value => onMark({ kind: 'figure', place: index + 1, point, kept: value === 'kept' })}
              />
            );
          })}
        </div>
      ))}
    </section>
  );
}
