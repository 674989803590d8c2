'use client';

import type { TeachPair } from '@/app/plan/_teach/teachPairs';
import { Button } from '@mantine/core';
import { IconPlayerPlay } from '@tabler/icons-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';

const TeachNow = dynamic(() => import('@/app/plan/_teach/TeachNow'), { ssr: false });

export type TeachHereProps = {
  layoutId: string;
  pairs: readonly TeachPair[];
  horses: readonly { id: string; name: string }[];
  groupIds: readonly string[];
};

/** What was just set is taught: who is there, and off it goes. */
export function TeachHere(props: TeachHereProps) {
  const [opened, setOpened] = useState(false);
  return (
    <>
      <Button variant="default" leftSection={<IconPlayerPlay size={16} />} onClick={() => setOpened(true)}>
        Teach this
      </Button>
      {opened && <TeachNow {...props} onClose={() => setOpened(false)} />}
    </>
  );
}
