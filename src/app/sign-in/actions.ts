'use server';

import { hashPassphrase, isPassphrase, passphraseFault } from '@/data/access/passphrase';
import { isToken } from '@/data/access/tokens';
import {
  beginSession,
  endSessions,
  hasPassphrases,
  passphrasesOf,
  setPassphrase,
  useDeviceLink,
} from '@/data/queries/access';
import { listPeople, savePerson } from '@/data/queries/people';
import { present } from '@/data/present';
import type { FormOutcome } from '@/files/formOutcome';
import { headers } from 'next/headers';
import { z } from 'zod';
import { faultOf } from '../_server/faultOf';
import { deviceWords } from '../_server/access/deviceWords';
import { carrySession } from '../_server/access/sessionCookie';
import { isSetupCode } from '../_server/access/setupCode';
import { cameRight, tryAgainInMin } from '../_server/access/tries';
import { whoIsThere } from '../_server/access/whoIsThere';
import { openedYard } from '../_server/yardContext';

const SignIn = z.strictObject({ name: z.string().max(200), passphrase: z.string().max(1000) });
const Begin = z.strictObject({
  code: z.string().max(200),
  name: z.string().trim().min(1, 'Who are you?').max(60),
  passphrase: z.string().max(1000),
});

const refuse = (problem: string) => ({ ok: false as const, fields: {}, problem });
/** One sentence for whatever was wrong: which part it was helps only whoever guesses. */
const NOT_TOGETHER = 'That name and passphrase do not go together.';

async function device(): Promise<string> {
  return deviceWords((await headers()).get('user-agent'));
}

const soon = (minutes: number) =>
  refuse(`Too many tries: wait ${minutes} ${minutes === 1 ? 'minute' : 'minutes'} and try again.`);

/** Signs a person in on this device. */
export async function signInAction(typed: unknown): Promise<FormOutcome> {
  try {
    const form = SignIn.safeParse(typed);
    if (!form.success) return refuse(NOT_TOGETHER);
    const { name, passphrase } = form.data;
    const waitMin = await tryAgainInMin(name);
    if (waitMin !== null) return soon(waitMin);
    const { db, write, yard } = await openedYard();
    const known = await passphrasesOf(db, yard.id, name);
    let person: (typeof known)[number] | null = null;
    for (const one of known) if (await isPassphrase(one.hash, passphrase)) person = one;
    if (known.length === 0) await isPassphrase(null, passphrase);
    if (!person) return refuse(NOT_TOGETHER);
    const { id } = person;
    const said = await device();
    await carrySession(await write(tx => beginSession(tx, yard.id, id, said, Date.now())));
    await cameRight(name);
    return { ok: true };
  } catch (error) {
    return refuse(faultOf(error).problem);
  }
}

/** The first passphrase of a yard, by the code that its start printed: an instructor has it from then on. */
export async function beginYardAction(typed: unknown): Promise<FormOutcome> {
  try {
    const waitMin = await tryAgainInMin('the first start');
    if (waitMin !== null) return soon(waitMin);
    const form = Begin.safeParse(typed);
    if (!form.success) return refuse(form.error.issues[0]?.message ?? 'This is not complete.');
    const { code, name, passphrase } = form.data;
    const { db, write, yard } = await openedYard();
    if (await hasPassphrases(db, yard.id)) return refuse('This yard has a passphrase already: sign in with it.');
    // At an open machine whoever sits there begins; from elsewhere the code is asked for.
    const who = await whoIsThere();
    if (!who?.open && !isSetupCode(code)) return refuse('That is not the code that the start of Roan printed.');
    const fault = passphraseFault(passphrase);
    if (fault) return { ok: false, fields: { passphrase: fault }, problem: fault };
    const hash = await hashPassphrase(passphrase);
    const said = await device();
    const sessionId = await write(async tx => {
      const plain = (text: string) => text.trim().toLowerCase();
      const there = present(await listPeople(tx, yard.id));
      const known = there.find(person => person.role === 'instructor' && plain(person.name) === plain(name));
      const personId = known?.id ?? (await savePerson(tx, yard.id, { name, role: 'instructor', stepLengthM: null }));
      await setPassphrase(tx, yard.id, personId, hash);
      return beginSession(tx, yard.id, personId, said, Date.now());
    });
    await carrySession(sessionId);
    return { ok: true };
  } catch (error) {
    return refuse(faultOf(error).problem);
  }
}

/** Lets this device in by a link that is used up by it. */
export async function joinAction(token: unknown): Promise<FormOutcome> {
  try {
    const waitMin = await tryAgainInMin('a device link');
    if (waitMin !== null) return soon(waitMin);
    const gone = 'This link was used already, or is older than ten minutes: ask for another.';
    if (!isToken(token)) return refuse(gone);
    const { write, yard } = await openedYard();
    const said = await device();
    const sessionId = await write(tx => useDeviceLink(tx, yard.id, token, said, Date.now()));
    if (sessionId === null) return refuse(gone);
    await carrySession(sessionId);
    await cameRight('a device link');
    return { ok: true };
  } catch (error) {
    return refuse(faultOf(error).problem);
  }
}

/** Signs this device out. */
export async function signOutAction(): Promise<FormOutcome> {
  try {
    const who = await whoIsThere();
    const { write, yard } = await openedYard();
    if (who && !who.open) await write(tx => endSessions(tx, yard.id, { sessionId: who.sessionId }, Date.now()));
    await carrySession(null);
    return { ok: true };
  } catch (error) {
    return refuse(faultOf(error).problem);
  }
}
