'use client';

import { Button } from '@mantine/core';
import { IconPlus } from '@tabler/icons-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { LayoutChoice } from './NewLayoutForm';

const NewLayoutForm = dynamic(() => import('./NewLayoutForm'), { ssr: false });

type NewLayoutProps = { arenas: LayoutChoice[]; horses: LayoutChoice[] };

/** Begins a layout: empty sand, for the horses of a lesson. Its form comes when it is asked for. */
export function NewLayout(choices: NewLayoutProps) {
  const [opened, setOpened] = useState(false);
  return (
    <>
      <Button leftSection={<IconPlus size={16} />} onClick={() => setOpened(true)}>
        New layout
      </Button>
      {opened && <NewLayoutForm {...choices} onClose={() => setOpened(false)} />}
    </>
  );
}
