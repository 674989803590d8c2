'use client';

import { Table } from '@/components/Table/Table';
import { useAct } from '@/components/form/useAct';
import { Problem } from '@/components/form/Problem';
import { Card } from '@/components/Card/Card';
import { Button, Group, Select } from '@mantine/core';
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
        <Table leastPx={560} style={{ marginTop: 12 }}>
          <thead>
            <tr>
              <th>Shows</th>
              <th>Until</th>
              <th>Last read</th>
              <th>
                <span className="roan-visually-hidden">What to do</span>
              </th>
            </tr>
          </thead>
          <tbody>
            {links.map(one => (
              <tr key={one.id}>
                <td>
                  {KINDS[one.kind]}: {one.of}
                </td>
                <td>{one.until ?? 'it is taken back'}</td>
                <td>{one.lastUsed ?? 'not yet'}</td>
                <td>
                  <Button
                    size="xs"
                    variant="default"
                    onClick={() => revoke(one.id)}
                    aria-label={`Take back ${KINDS[one.kind]}: ${one.of}`}
                  >
                    Take back
                  </Button>
                </td>
              </tr>
            ))}
          </tbody>
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
