'use client';

import { whoSays } from '@/components/who/whoSays';
import { Button } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import { bringToSeriesAction } from '../../seriesActions';

/** Who rides and what, as it is kept in this lesson, for all of the series that come. */
export function BringToSeries({ lessonId, coming }: { lessonId: string; coming: number }) {
  const router = useRouter();
  const [said, setSaid] = useState<string | null>(null);
  const [busy, begin] = useTransition();
  const bring = () =>
    begin(async () => {
      const answer = await bringToSeriesAction(lessonId, whoSays()).catch(() => null);
      if (answer?.ok) {
        setSaid(
          `Brought to ${answer.brought === 1 ? 'the one' : `the ${answer.brought}`} that come. Days and times stayed.`,
        );
        router.refresh();
      } else setSaid(answer?.problem ?? 'The server does not answer: nothing was changed.');
    });
  return (
    <div>
      <Button variant="default" mih={44} loading={busy} onClick={bring}>
        Bring this plan to the {coming} that come
      </Button>{' '}
      <span role="status">{said}</span>
    </div>
  );
}
