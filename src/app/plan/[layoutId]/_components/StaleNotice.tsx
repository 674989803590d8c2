'use client';

import { pageYard } from '@/components/pageYard';
import { newId } from '@/components/newId';
import { postJson } from '@/components/sync/post';
import { writePlan } from '@/files/planPaper';
import { Alert, Button, Group } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Edited } from '../_state/autosaver';

type StaleNoticeProps = {
  arenaId: string;
  mine: Edited;
  /** Called before this window gives its own version up. */
  onDropMine: () => void;
};

/** Another window saved this layout first. Both versions are there; the reader says what becomes of this one. */
export function StaleNotice({ arenaId, mine, onDropMine }: StaleNoticeProps) {
  const router = useRouter();
  const [problem, setProblem] = useState<string | null>(null);
  /** Pressed again after a lost answer, it is the same copy. */
  const [saveId] = useState(newId);

  const keepAsCopy = async () => {
    setProblem(null);
    const name = `${mine.name.slice(0, 53)} (mine)`;
    const posted = await postJson(
      '/api/layouts',
      { name, arenaId, plan: writePlan(mine.plan), saveId },
      { yard: pageYard() },
    );
    if (posted.kind === 'refused') return setProblem(posted.problem);
    if (posted.kind === 'no-answer' || typeof posted.body.id !== 'string')
      return setProblem('The server does not answer. Your version is still here: try again.');
    onDropMine();
    router.push(`/plan/${posted.body.id}`);
  };
  const takeTheirs = () => {
    onDropMine();
    window.location.reload();
  };

  return (
    <Alert color="chestnut" mb="sm" role="alert" title="This layout was changed in another window">
      Nothing is lost: the other version is saved, and yours is kept on this device.
      {problem && <p>{problem}</p>}
      <Group mt="xs">
        <Button size="xs" onClick={keepAsCopy}>
          Keep mine as a copy
        </Button>
        <Button size="xs" variant="default" onClick={takeTheirs}>
          Drop mine and show the other
        </Button>
      </Group>
    </Alert>
  );
}
