import type { CallLine, EarlierWork, Layout, LessonStage, PassWork, ReckonedItemTrack, TrackGait } from '@/core';

/** A track as it is marked: its stops, and the legs between them. */
export type RunTrack = {
  id: string;
  gait: TrackGait;
  reckoned: ReckonedItemTrack;
  stops: { item: string; words: string; isFence: boolean }[];
  legs: {
    from: string;
    to: string;
    groundM: number;
    asked: number | null;
    /** The count that lies nearest for the horses of the layout, on average. */
    likely: number;
    betweenPoles: boolean;
    calls: { horse: string; call: string }[];
  }[];
  calls: CallLine[];
};

/** A stage of a lesson with what stands on the sand for it. */
export type RunStage = Omit<LessonStage, 'exercise'> & {
  layoutName: string | null;
  /** What its passes hang on; null for a stage without a layout. */
  versionId: string | null;
  ride: {
    layout: Layout;
    work: PassWork;
    track: RunTrack | null;
    figures: string[];
    /** Whether it goes towards home as drawn; null where nobody has said which way home lies. */
    asDrawnHome: boolean | null;
    cautions: string[];
  } | null;
};

/** `earlier`: what the horse did today before this lesson, and on other days of the week. */
export type RunPair = { id: string; horse: string; rider: string; earlier: EarlierWork };
