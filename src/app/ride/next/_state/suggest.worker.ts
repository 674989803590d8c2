import { askedToShow, suggestFrom, type AskedToShow, type SuggestMaterial, type Suggestion, type Term } from '@/core';

/** A suggestion as a page shows it: its picture is of the hardest stage. */
export type ShownSuggestion = Pick<Suggestion, 'exercise' | 'title' | 'kind' | 'why' | 'minutes'> & {
  terms: Term[];
  layoutId: string | null;
  layoutName: string | null;
  pieces: number;
  stages: { stage: number; name: string; eachRein: number }[];
  /** The stage that comes next for each pair, in the order of the wish. */
  next: number[];
  /** Pairs that are asked an easier stage, by their index in the wish. */
  easier: Suggestion['easier'];
  show: AskedToShow | null;
};

export type ShownFor = {
  pairIds: readonly string[];
  suggestions: ShownSuggestion[];
  out: { title: string; why: string }[];
  tooLittle: string | null;
};

/** Makes suggestions beside the page, which stays in hand. */
self.onmessage = ({ data: material }: MessageEvent<SuggestMaterial>) => {
  const shown = suggestFrom(material).map(({ pairIds, suggestions, out, tooLittle }): ShownFor => ({
    ...{ pairIds, out, tooLittle },
    suggestions: suggestions.map(one => shownSuggestion(one, material)),
  }));
  postMessage(shown);
};

function shownSuggestion(suggestion: Suggestion, { own }: SuggestMaterial): ShownSuggestion {
  const { exercise, title, kind, why, minutes, terms, easier, next, series } = suggestion;
  const hardest = series.stages.at(-1)!;
  return {
    ...{ exercise, title, kind, why, minutes, terms, easier, next, pieces: series.pieces },
    layoutId: series.layoutId,
    layoutName: own.find(({ id }) => id === series.layoutId)?.name ?? null,
    stages: series.stages.map(({ stage, name, eachRein }) => ({ stage, name, eachRein })),
    show: askedToShow(series.resolved.layout, hardest.today, null),
  };
}
