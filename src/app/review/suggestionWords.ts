import type { SpacingSuggestion, TrackGait } from '@/core';

export type SuggestionWords = { headline: string; reason: string };

type Wording = {
  horseName: string;
  gait: TrackGait;
  spacingM: number;
  format: (lengthM: number) => string;
  /** Writes a change without its sign: "5 cm". */
  formatBy: (changeM: number) => string;
  /** The day the passes were ridden on. */
  day: string;
};

const COUNT = (passes: number) => (passes === 1 ? 'one pass' : `${passes} passes`);

/** What to set next and why, in words: the direction first, then what it rests on. */
export function suggestionWords(suggestion: SpacingSuggestion, wording: Wording): SuggestionWords {
  const { horseName, gait, spacingM, format, formatBy, day } = wording;
  if (suggestion.kind === 'nothing-noted')
    return {
      headline: 'No footfalls noted yet',
      reason: 'Note where the foot falls between the poles to get a spacing to try.',
    };
  const step = gait === 'canter' ? 'stride' : 'step';
  const { nextSpacingM, changeM, from, passes } = suggestion;
  const basis =
    from === 'gap-by-gap'
      ? `noted gap by gap in ${COUNT(passes)} on ${day}`
      : `as judged in ${COUNT(passes)} on ${day}`;
  const again = passes === 1 ? ' That is one pass only: look again before you move the poles.' : '';
  switch (suggestion.kind) {
    case 'keep':
      return {
        headline: `Keep ${format(spacingM)}`,
        reason: `${horseName}’s foot falls in the middle, ${basis}: the spacing is its own ${step}.`,
      };
    case 'look-at-pace':
      return {
        headline: `Keep ${format(spacingM)}, and look at the pace`,
        reason: `The foot falls off the middle by the same share in every gap, ${basis}: that speaks of the pace or of where the row is entered, not of the spacing.`,
      };
    case 'close':
      return {
        headline: `Try ${format(nextSpacingM)}: ${formatBy(-changeM)} closer`,
        reason:
          from === 'gap-by-gap'
            ? `${horseName} falls back from gap to gap, ${basis}: its ${step} is shorter than the spacing.${again}`
            : `The foot falls short of the middle, ${basis}: close the gaps a little and look again.`,
      };
    case 'open':
      return {
        headline: `Try ${format(nextSpacingM)}: ${formatBy(changeM)} wider`,
        reason:
          from === 'gap-by-gap'
            ? `${horseName} gains from gap to gap, ${basis}: its ${step} is longer than the spacing.${again}`
            : `The foot falls past the middle, ${basis}. Steady the pace first; if it stays so, open the gaps a little.`,
      };
  }
}
