'use client';

import { Card } from '@/components/Card/Card';
import { Button, Table } from '@mantine/core';
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
      <Table>
        <Table.Thead>
          <Table.Tr>
            <Table.Th>Who</Table.Th>
            <Table.Th>Device</Table.Th>
            <Table.Th>Last seen</Table.Th>
            <Table.Th>
              <span className="roan-visually-hidden">What to do</span>
            </Table.Th>
          </Table.Tr>
        </Table.Thead>
        <Table.Tbody>
          {sessions.map(({ id, person, device, seen, isThis }) => (
            <Table.Tr key={id}>
              <Table.Td>{person}</Table.Td>
              <Table.Td>
                {device}
                {isThis && ', this one'}
              </Table.Td>
              <Table.Td>{seen}</Table.Td>
              <Table.Td>
                <Button size="xs" variant="default" onClick={() => end(id)} aria-label={`End ${person} on ${device}`}>
                  End
                </Button>
              </Table.Td>
            </Table.Tr>
          ))}
        </Table.Tbody>
      </Table>
    </Card>
  );
}
