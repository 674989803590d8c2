import type { PassRecord } from '../record/passRecord';

/** Whether a pass belongs to a stage: by its id; one from before stages had any, by what the stage was called. */
export function isAtStage(
  { stageId, stage }: Pick<PassRecord, 'stageId' | 'stage'>,
  { id, name }: { id: string; name: string },
): boolean {
  return stageId === null ? stage === name : stageId === id;
}
