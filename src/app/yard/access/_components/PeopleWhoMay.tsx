'use client';

import { Table } from '@/components/Table/Table';
import { useAct } from '@/components/form/useAct';
import { Card } from '@/components/Card/Card';
import { Problem } from '@/components/form/Problem';
import { useSentForm } from '@/components/form/useSentForm';
import { Modal } from '@/components/Modal/Modal';
import { Button, Group, PasswordInput, Stack } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { deviceLinkAction, setPassphraseAction, type ShownLink } from '../actions';
import { OneLink } from './OneLink';

type PersonWhoMay = { id: string; name: string; role: string; hasPassphrase: boolean };

/** The people of the yard with their roles: each comes in by a passphrase, or by a link for one device. */
export function PeopleWhoMay({ people, meId }: { people: PersonWhoMay[]; meId: string }) {
  const [link, setLink] = useState<{ of: string; link: ShownLink } | null>(null);
  const [typing, setTyping] = useState<PersonWhoMay | null>(null);
  const { act, problem } = useAct('The server did not answer: no link was made.');
  const makeLink = ({ id, name }: PersonWhoMay) =>
    act(
      () => deviceLinkAction(id),
      made => setLink({ of: name, link: made.link }),
    );
  return (
    <Card label="People" title="People">
      <Table leastPx={560}>
        <thead>
          <tr>
            <th>Name</th>
            <th>Role</th>
            <th>Comes in by</th>
            <th>
              <span className="roan-visually-hidden">What to do</span>
            </th>
          </tr>
        </thead>
        <tbody>
          {people.map(person => (
            <tr key={person.id}>
              <td>
                {person.name}
                {person.id === meId && ' (you)'}
              </td>
              <td>{person.role}</td>
              <td>{person.hasPassphrase ? 'a passphrase, or a device link' : 'a device link'}</td>
              <td>
                <Group gap="xs" justify="flex-end">
                  <Button size="xs" variant="default" onClick={() => makeLink(person)}>
                    Link for a device
                  </Button>
                  <Button size="xs" variant="default" onClick={() => setTyping(person)}>
                    {person.hasPassphrase ? 'Change the passphrase' : 'Give a passphrase'}
                  </Button>
                </Group>
              </td>
            </tr>
          ))}
        </tbody>
      </Table>
      <Problem>{problem}</Problem>
      <OneLink
        title={`A device for ${link?.of ?? ''}`}
        says="Scan it with the device that is to come in. It works once, within ten minutes."
        link={link?.link ?? null}
        onClose={() => setLink(null)}
      />
      {typing && <PassphraseForm person={typing} onClose={() => setTyping(null)} />}
    </Card>
  );
}

function PassphraseForm({ person, onClose }: { person: PersonWhoMay; onClose: () => void }) {
  const router = useRouter();
  const { form, onSubmit, problem, sending } = useSentForm({
    initialValues: { passphrase: '' },
    send: ({ passphrase }) => setPassphraseAction(person.id, passphrase),
    onSent: () => {
      router.refresh();
      onClose();
    },
  });
  return (
    <Modal opened onClose={onClose} title={`A passphrase for ${person.name}`}>
      <form onSubmit={onSubmit}>
        <Stack gap="sm">
          <PasswordInput
            label="Passphrase"
            description="A few words that nobody would guess, ten letters or more. Other devices of this person sign in again."
            autoComplete="new-password"
            {...form.getInputProps('passphrase')}
            error={form.errors.passphrase ?? problem}
          />
          <Button type="submit" loading={sending}>
            Set the passphrase
          </Button>
        </Stack>
      </form>
    </Modal>
  );
}
