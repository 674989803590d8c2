'use client';

import { useAct } from '@/components/form/useAct';
import { Problem } from '@/components/form/Problem';
import { Card } from '@/components/Card/Card';
import { Button, Group, Select, Table } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { revokeShareAction, shareAction, type ShownLink } from '../actions';
import { OneLink } from './OneLink';

const KINDS = {
  rider: 'A rider’s page',
  lesson: 'A lesson',
  layout: 'A layout',
  calendar: 'The calendar, as a feed',
} as const;
type Kind = keyof typeof KINDS;

type LinkListProps = {
  yardId: string;
  links: { id: string; kind: Kind; of: string; until: string | null; lastUsed: string | null }[];
  subjects: Record<Exclude<Kind, 'calendar'>, { value: string; label: string }[]>;
};

/** Links that whoever has them may read by: made here, shown once, and taken back here. */
export function LinkList({ yardId, links, subjects }: LinkListProps) {
  const router = useRouter();
  const [kind, setKind] = useState<Kind>('rider');
  const [subjectId, setSubjectId] = useState<string | null>(null);
  const [link, setLink] = useState<ShownLink | null>(null);
  const { act, busy, problem } = useAct('The server did not answer: the links are as they were.');
  const of = kind === 'calendar' ? yardId : subjectId;
  const make = () =>
    act(
      () => shareAction({ kind, subjectId: of }),
      made => {
        setLink(made.link);
        router.refresh();
      },
    );
  const revoke = (id: string) =>
    act(
      () => revokeShareAction(id),
      () => router.refresh(),
    );
  return (
    <Card label="Links" title="Links to read by">
      <Group align="flex-end" gap="sm">
        <Select
          label="What it shows"
          allowDeselect={false}
          data={Object.entries(KINDS).map(([value, label]) => ({ value, label }))}
          value={kind}
          onChange={next => {
            setKind((next ?? 'rider') as Kind);
            setSubjectId(null);
          }}
        />
        {kind !== 'calendar' && (
          <Select label="Which" searchable w={280} data={subjects[kind]} value={subjectId} onChange={setSubjectId} />
        )}
        <Button disabled={of === null} loading={busy} onClick={make}>
          Make a link
        </Button>
      </Group>
      <Problem>{problem}</Problem>
      {links.length > 0 && (
        <Table mt="sm">
          <Table.Thead>
            <Table.Tr>
              <Table.Th>Shows</Table.Th>
              <Table.Th>Until</Table.Th>
              <Table.Th>Last read</Table.Th>
              <Table.Th>
                <span className="roan-visually-hidden">What to do</span>
              </Table.Th>
            </Table.Tr>
          </Table.Thead>
          <Table.Tbody>
            {links.map(one => (
              <Table.Tr key={one.id}>
                <Table.Td>
                  {KINDS[one.kind]}: {one.of}
                </Table.Td>
                <Table.Td>{one.until ?? 'it is taken back'}</Table.Td>
                <Table.Td>{one.lastUsed ?? 'not yet'}</Table.Td>
                <Table.Td>
                  <Button
                    size="xs"
                    variant="default"
                    onClick={() => revoke(one.id)}
                    aria-label={`Take back ${KINDS[one.kind]}: ${one.of}`}
                  >
                    Take back
                  </Button>
                </Table.Td>
              </Table.Tr>
            ))}
          </Table.Tbody>
        </Table>
      )}
      <OneLink
        title="A link to read by"
        says="It is shown this once. Whoever has it may read, and change nothing."
        link={link}
        onClose={() => setLink(null)}
      />
    </Card>
  );
}
