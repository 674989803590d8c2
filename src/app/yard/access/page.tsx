import { Card } from '@/components/Card/Card';
import { LinkButton } from '@/components/LinkButton/LinkButton';
import { nowMs } from '@/components/nowMs';
import { PageHead } from '@/components/PageHead/PageHead';
import { present } from '@/data/present';
import { peopleWithPassphrase, runningSessions } from '@/data/queries/access';
import { listLayouts } from '@/data/queries/layouts';
import { listLessons } from '@/data/queries/lessons';
import { listPeople } from '@/data/queries/people';
import { listShareLinks } from '@/data/queries/shareLinks';
import { Stack } from '@mantine/core';
import type { Metadata } from 'next';
import QRCode from 'qrcode';
import { may } from '../../_server/access/rules';
import { yardContext } from '../../_server/yardContext';
import { yardTime } from '../../_server/yardTime';
import { BeginForm } from '../../sign-in/_components/BeginForm';
import { LinkList } from './_components/LinkList';
import { PeopleWhoMay } from './_components/PeopleWhoMay';
import { SessionList } from './_components/SessionList';

export const metadata: Metadata = { title: 'Who may come in' };

/** Who may come in and as what, the devices that are signed in, and the links that others read by. */
export default async function AccessPage() {
  const { db, yard, who } = await yardContext(may.instruct);
  const atMs = nowMs();
  const [people, withPassphrase, sessions, links, lessons, layouts] = await Promise.all([
    listPeople(db, yard.id),
    peopleWithPassphrase(db, yard.id),
    runningSessions(db, yard.id, atMs),
    listShareLinks(db, yard.id, atMs),
    listLessons(db, yard.id),
    listLayouts(db, yard.id),
  ]);
  const there = present(people);
  // Told by the start, where Roan is served to other devices.
  const href = process.env.ROAN_NETWORK_HREF ?? null;
  const code = href === null ? '' : await QRCode.toString(href, { type: 'svg', margin: 1 });
  const time = (when: number | null) => (when === null ? null : yardTime(when, yard.timeZone, 'D MMM YYYY, HH:mm'));
  const names = new Map<string, string>([
    ...there.map(({ id, name }) => [id, name] as const),
    ...lessons.map(({ id, name }) => [id, name] as const),
    ...layouts.map(({ id, name }) => [id, name] as const),
    [yard.id, yard.name],
  ]);
  return (
    <>
      <PageHead
        title="Who may come in"
        sub="Instructors do everything; helpers set out, tick and mark; riders read what is theirs."
        actions={
          <LinkButton href="/yard" variant="default">
            To the yard
          </LinkButton>
        }
      />
      <Stack gap="md">
        {href && (
          <Card label="On a phone" title="On a phone">
            <p>
              Roan is at <strong>{href}</strong>. A device that warns about it: open {href}/trust on it first.
            </p>
            <div
              role="img"
              aria-label="A code to scan for the address of Roan"
              style={{ width: 180 }}
              dangerouslySetInnerHTML={{ __html: code }}
            />
          </Card>
        )}
        {who.open ? (
          <Card label="Open on this machine" title="Open on this machine">
            <p>
              Only this machine reaches Roan, and nobody has a passphrase: whoever sits here may do everything. To use
              it on a phone, set a passphrase, stop Roan and start it with <code>npm start -- --network</code>.
            </p>
            <BeginForm needsCode={false} />
          </Card>
        ) : (
          <>
            <PeopleWhoMay
              people={there.map(({ id, name, role }) => ({ id, name, role, hasPassphrase: withPassphrase.has(id) }))}
              meId={who.id}
            />
            <SessionList
              sessions={sessions.map(({ id, person, device, lastSeenAtMs }) => ({
                ...{ id, person, device, seen: time(lastSeenAtMs)! },
                isThis: id === who.sessionId,
              }))}
            />
          </>
        )}
        <LinkList
          yardId={yard.id}
          links={links.map(({ id, kind, subjectId, expiresAtMs, lastUsedAtMs }) => ({
            ...{ id, kind, of: names.get(subjectId) ?? 'what is not there any more' },
            ...{ until: time(expiresAtMs), lastUsed: time(lastUsedAtMs) },
          }))}
          subjects={{
            rider: there.filter(({ role }) => role === 'rider').map(({ id, name }) => ({ value: id, label: name })),
            lesson: lessons.map(({ id, name, startsAtMs }) => ({ value: id, label: `${name}, ${time(startsAtMs)}` })),
            layout: layouts.map(({ id, name }) => ({ value: id, label: name })),
          }}
        />
      </Stack>
    </>
  );
}
