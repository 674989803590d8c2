'use client';

import { newId } from '@/components/newId';
import { SaddlePicture } from '@/components/RiderEye/SaddlePicture';
import type { EyeNames } from '@/components/RiderEye/useEye';
import { useLengths } from '@/components/Lengths/LengthsProvider';
import {
  EYE_OVER_WITHERS_M,
  isRidden,
  layoutLabels,
  newItem,
  nextStop,
  sightMarkAt,
  USUAL_HEIGHT_M,
  type Layout,
  type LayoutHorse,
  type Look,
  type RiddenTrack,
} from '@/core';
import { Button } from '@mantine/core';
import { saveFile } from '@/components/saveFile';
import { notifications } from '@mantine/notifications';
import { useMemo, useRef, useState } from 'react';
import type { PlanControls } from '../_state/usePlanEditor';

type SaddleViewProps = {
  controls: PlanControls;
  layout: Layout;
  ridden: RiddenTrack;
  horse: LayoutHorse | null;
  walkedM: number;
};

/** The line of the plan from the saddle of the horse that is looked at; a mark to look at is put behind the next fence. */
export default function SaddleView({ controls, layout, ridden, horse, walkedM }: SaddleViewProps) {
  const { format } = useLengths();
  const [look, setLook] = useState<Look>('next');
  const names = useMemo(() => namesIn(layout), [layout]);
  const canvas = useRef<HTMLCanvasElement>(null);
  const eyeM = (horse?.heightM ?? USUAL_HEIGHT_M) + EYE_OVER_WITHERS_M;
  const next = nextStop(layout, ridden, walkedM);
  const markAt = next && sightMarkAt(layout.arena, next.pose);
  const mark = () => {
    if (!markAt) return;
    const item = newItem('marker', newId(), markAt, next.pose.headingRad);
    controls.change(before => ({ ...before, items: [...before.items, item] }));
  };
  return (
    <SaddlePicture {...{ ridden, names, eyeM, look, canvas }} scene={layout} alongM={walkedM} onLook={setLook}>
      <Button size="xs" variant="default" disabled={!markAt} onClick={mark}>
        Put a mark to look at
      </Button>
      <Button size="xs" variant="default" onClick={() => void keepPicture(canvas.current)}>
        Keep the picture
      </Button>
      <span>
        Eye at {format(eyeM)}
        {horse ? ` on ${horse.name}` : ''}
      </span>
    </SaddlePicture>
  );
}

/** What is ridden, as the plan calls it. */
function namesIn(layout: Layout): EyeNames {
  const labels = layoutLabels(layout);
  const ridden = layout.items.filter(isRidden);
  return {
    short: new Map(ridden.map(({ id }) => [id, labels.short(id)])),
    inWords: new Map(ridden.map(({ id }) => [id, labels.inWords(id)])),
  };
}

/** Saves what is painted as a picture. */
async function keepPicture(canvas: HTMLCanvasElement | null): Promise<void> {
  const blob = await new Promise<Blob | null>(resolve =>
    canvas ? canvas.toBlob(resolve, 'image/png') : resolve(null),
  );
  if (!blob)
    return notifications.show({ message: 'This browser does not give the picture away: nothing was kept.' }) as never;
  saveFile(blob, 'from-the-saddle.png');
}
