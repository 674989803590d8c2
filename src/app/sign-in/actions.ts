'use server';

import { hashPassphrase, isPassphrase, passphraseFault } from '@/data/access/passphrase';
import { isToken } from '@/data/access/tokens';
import {
  beginSession,
  endSessions,
  hasPassphrases,
  passphrasesOf,
  sessionPeople,
  setPassphrase,
  useDeviceLink,
} from '@/data/queries/access';
import { listPeople, savePerson } from '@/data/queries/people';
import { currentYard } from '@/data/queries/yards';
import { present } from '@/data/present';
import { roan } from '@/data/roan';
import type { FormOutcome } from '@/files/formOutcome';
import { headers } from 'next/headers';
import { z } from 'zod';
import { faultOf } from '../_server/faultOf';
import { deviceWords } from '../_server/access/deviceWords';
import { carriedSessions, carryNone, carrySessions } from '../_server/access/sessionCookie';
import { isSetupCode } from '../_server/access/setupCode';
import { cameRight, tryAgainInMin } from '../_server/access/tries';
import { whoIsThere } from '../_server/access/whoIsThere';
import { refuse } from '@/app/_server/refusal';

const SignIn = z.strictObject({ name: z.string().max(200), passphrase: z.string().max(1000) });
const Begin = z.strictObject({
  code: z.string().max(200),
  name: z.string().trim().min(1, 'Who are you?').max(60),
  passphrase: z.string().max(1000),
});

/** One sentence for whatever was wrong: which part it was helps only whoever guesses. */
const NOT_TOGETHER = 'That name and passphrase do not go together.';

async function device(): Promise<string> {
  return deviceWords((await headers()).get('user-agent'));
}

const soon = (minutes: number) =>
  refuse(`Too many tries: wait ${minutes} ${minutes === 1 ? 'minute' : 'minutes'} and try again.`);

/** Signs a person in on this device: to every yard where that name and passphrase go together. */
export async function signInAction(typed: unknown): Promise<FormOutcome> {
  try {
    const form = SignIn.safeParse(typed);
    if (!form.success) return refuse(NOT_TOGETHER);
    const { name, passphrase } = form.data;
    const waitMin = await tryAgainInMin(name);
    if (waitMin !== null) return soon(waitMin);
    const { db, write } = await roan();
    const known = await passphrasesOf(db, name);
    const right: typeof known = [];
    for (const one of known) if (await isPassphrase(one.hash, passphrase)) right.push(one);
    if (known.length === 0) await isPassphrase(null, passphrase);
    if (right.length === 0) return refuse(NOT_TOGETHER);
    const said = await device();
    const { all } = await carriedSessions();
    const nowMs = Date.now();
    const begun = await write(async tx => {
      // Of another person who was signed in to the same yard on this device nothing is left.
      for (const { yardId, sessionId } of await sessionPeople(tx, all, nowMs))
        if (right.some(one => one.yardId === yardId)) await endSessions(tx, yardId, { sessionId }, nowMs);
      const ids: string[] = [];
      for (const { id, yardId } of right) ids.push(await beginSession(tx, yardId, id, said, nowMs));
      return ids;
    });
    await carrySessions(begun);
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
    const database = await roan();
    const { db, write } = database;
    const yard = await currentYard(database);
    if (await hasPassphrases(db)) return refuse('This yard has a passphrase already: sign in with it.');
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
    await carrySessions([sessionId]);
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
    const { write } = await roan();
    const said = await device();
    const sessionId = await write(tx => useDeviceLink(tx, token, said, Date.now()));
    if (sessionId === null) return refuse(gone);
    await carrySessions([sessionId]);
    await cameRight('a device link');
    return { ok: true };
  } catch (error) {
    return refuse(faultOf(error).problem);
  }
}

/** Signs this device out, of every yard that it is in. */
export async function signOutAction(): Promise<FormOutcome> {
  try {
    const { write } = await roan();
    const { all } = await carriedSessions();
    const nowMs = Date.now();
    await write(async tx => {
      for (const { yardId, sessionId } of await sessionPeople(tx, all, nowMs))
        await endSessions(tx, yardId, { sessionId }, nowMs);
    });
    await carryNone();
    return { ok: true };
  } catch (error) {
    return refuse(faultOf(error).problem);
  }
}
