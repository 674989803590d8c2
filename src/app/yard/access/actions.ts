'use server';

import { hashPassphrase, passphraseFault } from '@/data/access/passphrase';
import { addDeviceLink, endSessions, setPassphrase } from '@/data/queries/access';
import { findLayout } from '@/data/queries/layouts';
import { findLesson } from '@/data/queries/lessons';
import { findPerson } from '@/data/queries/people';
import { addShareLink, revokeShareLink, SHARE_KINDS } from '@/data/queries/shareLinks';
import type { FormOutcome } from '@/files/formOutcome';
import { revalidatePath } from 'next/cache';
import { headers } from 'next/headers';
import QRCode from 'qrcode';
import { z } from 'zod';
import { may } from '../../_server/access/rules';
import { attempt } from '../../_server/attempt';
import { yardContext } from '../../_server/yardContext';
import { gone, Id, refuse } from '@/app/_server/refusal';

/** A link as it is shown once: to read, to copy, and to scan. */
export type ShownLink = { href: string; qr: string };

async function shownLink(path: string): Promise<ShownLink> {
  const asked = await headers();
  const isSecure = process.env.ROAN_NETWORK === '1' || asked.get('x-forwarded-proto') === 'https';
  const href = `${isSecure ? 'https' : 'http'}://${asked.get('host') ?? 'localhost'}${path}`;
  return { href, qr: await QRCode.toString(href, { type: 'svg', margin: 1 }) };
}

/** Gives a person a passphrase; the devices they were signed in on stay. */
export async function setPassphraseAction(personId: unknown, passphrase: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const sent = z.strictObject({ personId: Id, passphrase: z.string().max(1000) }).safeParse({ personId, passphrase });
    if (!sent.success) return refuse('Type a passphrase.');
    const fault = passphraseFault(sent.data.passphrase);
    if (fault) return refuse(fault);
    const { db, write, yard, who } = await yardContext();
    if (!(await findPerson(db, yard.id, sent.data.personId))) return refuse(gone('person'));
    const hash = await hashPassphrase(sent.data.passphrase);
    await write(async tx => {
      await setPassphrase(tx, yard.id, sent.data.personId, hash);
      // Whoever knew the old one is out: every device but this one signs in again.
      const butId = who.open ? null : who.sessionId;
      await endSessions(tx, yard.id, { personId: sent.data.personId, butId }, Date.now());
    });
    revalidatePath('/yard/access');
    return { ok: true };
  });
}

/** A link for one device of a person, good for ten minutes and once. */
export async function deviceLinkAction(personId: unknown): Promise<FormOutcome<{ link: ShownLink }>> {
  return attempt<{ link: ShownLink }>(may.instruct, async () => {
    const id = Id.safeParse(personId);
    const { write, yard } = await yardContext();
    const made = id.success ? await write(tx => addDeviceLink(tx, yard.id, id.data, Date.now())) : null;
    if (!made) return refuse(gone('person'));
    return { ok: true, link: await shownLink(`/join/${made.token}`) };
  });
}

/** Ends a session: that device has to sign in again. */
export async function endSessionAction(sessionId: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const id = Id.safeParse(sessionId);
    if (!id.success) return refuse('This session is not known.');
    const { write, yard } = await yardContext();
    await write(tx => endSessions(tx, yard.id, { sessionId: id.data }, Date.now()));
    revalidatePath('/yard/access');
    return { ok: true };
  });
}

const Share = z.strictObject({ kind: z.enum(SHARE_KINDS), subjectId: Id });

/** A link that whoever has it may read by. */
export async function shareAction(sent: unknown): Promise<FormOutcome<{ link: ShownLink }>> {
  return attempt<{ link: ShownLink }>(may.instruct, async () => {
    const wish = Share.safeParse(sent);
    if (!wish.success) return refuse('Choose what the link shows.');
    const { db, write, yard } = await yardContext();
    const { kind, subjectId } = wish.data;
    const there = {
      rider: () => findPerson(db, yard.id, subjectId),
      lesson: () => findLesson(db, yard.id, subjectId),
      layout: () => findLayout(db, yard.id, subjectId),
      calendar: async () => subjectId === yard.id,
    }[kind];
    if (!(await there())) return refuse('What the link would show is not in the yard any more.');
    const { token } = await write(tx => addShareLink(tx, yard.id, kind, subjectId, Date.now()));
    revalidatePath('/yard/access');
    return { ok: true, link: await shownLink(kind === 'calendar' ? `/api/feed/${token}` : `/s/${token}`) };
  });
}

/** Nobody reads by this link any more. */
export async function revokeShareAction(linkId: unknown): Promise<FormOutcome> {
  return attempt<object>(may.instruct, async () => {
    const id = Id.safeParse(linkId);
    if (!id.success) return refuse('This link is not known.');
    const { write, yard } = await yardContext();
    await write(tx => revokeShareLink(tx, yard.id, id.data, Date.now()));
    revalidatePath('/yard/access');
    return { ok: true };
  });
}
