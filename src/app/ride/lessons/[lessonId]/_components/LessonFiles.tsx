'use client';

import { Button, Menu } from '@mantine/core';

type LessonFilesProps = { lessonId: string; pairs: readonly { id: string; name: string }[] };

/** What of a lesson goes out: its sheet, each rider's own, and the calendar. */
export function LessonFiles({ lessonId, pairs }: LessonFilesProps) {
  const sheet = `/api/lessons/${lessonId}/sheet`;
  return (
    <Menu position="bottom-end">
      <Menu.Target>
        <Button variant="default">On paper and out</Button>
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Item component="a" href={sheet} download>
          Lesson sheet (PDF)
        </Menu.Item>
        {pairs.map(({ id, name }) => (
          <Menu.Item key={id} component="a" href={`${sheet}?pair=${encodeURIComponent(id)}`} download>
            For {name} (PDF)
          </Menu.Item>
        ))}
        <Menu.Item component="a" href={`/api/lessons/${lessonId}/calendar`} download>
          For the calendar (iCalendar)
        </Menu.Item>
      </Menu.Dropdown>
    </Menu>
  );
}
