'use client';

import { Table } from '@/components/Table/Table';
import { Card } from '@/components/Card/Card';
import { Button } from '@mantine/core';
import { notifications } from '@mantine/notifications';
import { useRouter } from 'next/navigation';
import { endSessionAction } from '../actions';

type SessionListProps = { sessions: { id: string; person: string; device: string; seen: string; isThis: boolean }[] };

/** The devices that are signed in; each can be ended from here. */
export function SessionList({ sessions }: SessionListProps) {
  const router = useRouter();
  const end = async (id: string) => {
    const outcome = await endSessionAction(id).catch(() => null);
    if (!outcome?.ok) notifications.show({ message: outcome?.problem ?? 'The server did not answer.' });
    router.refresh();
  };
  return (
    <Card label="Signed in" title="Signed in">
      <Table leastPx={560}>
        <thead>
          <tr>
            <th>Who</th>
            <th>Device</th>
            <th>Last seen</th>
            <th>
              <span className="roan-visually-hidden">What to do</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {sessions.map(({ id, person, device, seen, isThis }) => (
            <tr key={id}>
              <td>{person}</td>
              <td>
                {device}
                {isThis && ', this one'}
              </td>
              <td>{seen}</td>
              <td>
                <Button size="xs" variant="default" onClick={() => end(id)} aria-label={`End ${person} on ${device}`}>
                  End
                </Button>
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
    </Card>
  );
}
