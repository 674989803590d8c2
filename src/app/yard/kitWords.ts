import type { KitPiece } from '@/data/queries/kit';
import type { KitKind } from '@/files/yardForms';

export const KIT_LABELS: Record<KitKind, string> = {
  pole: 'poles',
  'stand-pair': 'pairs of stands',
  cup: 'cups',
  block: 'blocks',
  cone: 'cones',
  filler: 'fillers',
  marker: 'markers',
};

/** What some kit is called: "poles of 3.50 m, white". */
export function kitWords({ kind, sizeM, name }: KitPiece, format: (lengthM: number) => string): string {
  const sized = sizeM === null ? KIT_LABELS[kind] : `${KIT_LABELS[kind]} of ${format(sizeM)}`;
  return name === '' ? sized : `${sized}, ${name}`;
}
