'use client';

import { Choice } from '@/components/Choice';
import { made } from '@/components/MadeFile/made';
import { Button, Menu } from '@mantine/core';
import { useState } from 'react';

type Named = { id: string; name: string };

export type LessonFilesProps = {
  lessonId: string;
  pairs: readonly Named[];
  /** What it goes over: whoever sets it takes these. */
  layouts?: readonly Named[];
};

/** What of a lesson goes out: its sheet, each rider's own, the helper's for each layout, and the calendar. */
export default function LessonFilesMenu({ lessonId, pairs, layouts = [] }: LessonFilesProps) {
  const [paper, setPaper] = useState('a4');
  const sheet = `/api/lessons/${lessonId}/sheet?paper=${paper}`;
  return (
    <Menu position="bottom-end">
      <Menu.Target>
        <Button variant="default" mih={44}>
          On paper and out
        </Button>
      </Menu.Target>
      <Menu.Dropdown>
        <Choice
          aria-label="Paper"
          fullWidth
          value={paper}
          onChange={setPaper}
          data={[
            { value: 'a4', label: 'A4' },
            { value: 'letter', label: 'Letter' },
          ]}
        />
        <Menu.Item {...made(sheet, 'The lesson sheet')}>Lesson sheet (PDF)</Menu.Item>
        {pairs.map(({ id, name }) => (
          <Menu.Item key={id} {...made(`${sheet}&pair=${encodeURIComponent(id)}`, `The sheet for ${name}`)}>
            For {name} (PDF)
          </Menu.Item>
        ))}
        {layouts.map(({ id, name }) => (
          <Menu.Item key={id} {...made(`/api/layouts/${id}/sheet?paper=${paper}`, `The sheet of “${name}”`)}>
            To set “{name}” (PDF)
          </Menu.Item>
        ))}
        <Menu.Item component="a" href={`/api/lessons/${lessonId}/calendar`} download>
          For the calendar (iCalendar)
        </Menu.Item>
      </Menu.Dropdown>
    </Menu>
  );
}
