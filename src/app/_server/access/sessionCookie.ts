import 'server-only';
import { randomBytes } from 'node:crypto';
import { existsSync, mkdirSync, readFileSync, writeFileSync } from 'node:fs';
import path from 'node:path';
import { dataFolder, isOnServer } from '@/data/dataFolder';
import { storeSecret } from '@/data/queries/storeSecrets';
import { remembered } from '@/data/remembered';
import { roan } from '@/data/roan';
import { SESSION_DAYS } from '@/data/queries/access';
import { getIronSession, unsealData, type SessionOptions } from 'iron-session';
import { cookies } from 'next/headers';
import { carriedCookie } from './asking';

/**
 * What a signed-in device carries: which session it is in, and those of other yards. Whose they are, and whether they run, the
 * database says.
 */
type Carried = { sessionId?: string; others?: string[] };

const SECRET_BYTES = 32;

/** What seals cookies, made once: on a server in the store, where all its Roans find it; else beside the database. */
async function secret(): Promise<string> {
  if (isOnServer()) {
    const { write } = await roan();
    return write(tx => storeSecret(tx, 'session', randomBytes(SECRET_BYTES).toString('base64url')));
  }
  return secretOfFolder();
}

/** Readable by this account alone. */
function secretOfFolder(): string {
  const file = path.join(dataFolder(), 'session-secret');
  if (!existsSync(file)) {
    mkdirSync(dataFolder(), { recursive: true });
    // Two processes may begin at once: the first one's stands.
    try {
      writeFileSync(file, randomBytes(SECRET_BYTES).toString('base64url'), { mode: 0o600, flag: 'wx' });
    } catch (error) {
      if ((error as NodeJS.ErrnoException).code !== 'EEXIST') throw error;
    }
  }
  return readFileSync(file, 'utf8').trim();
}

let sealedWith: Promise<string> | null = null;

async function options(): Promise<SessionOptions> {
  sealedWith ??= secret().catch(error => {
    sealedWith = null;
    throw error;
  });
  const isSecure = process.env.ROAN_NETWORK === '1' || process.env.ROAN_TRUST_PROXY === '1';
  return {
    password: await sealedWith,
    // A name with this beginning is taken by browsers only from where it was set, and only over HTTPS.
    cookieName: isSecure ? '__Host-roan' : 'roan-session',
    ttl: SESSION_DAYS * 24 * 3600,
    cookieOptions: { httpOnly: true, secure: isSecure, sameSite: 'lax', path: '/' },
  };
}

/** The sessions that a device carries: one in each yard it is signed in to, and which of them it is in now. */
export type CarriedSessions = { active: string | null; all: string[] };

/** Of more yards than these a device forgets the one it was let into first. */
const MOST_YARDS = 12;

/** The sessions that this request carries; none where nothing is carried, or what was not sealed here. */
export async function carriedSessions(): Promise<CarriedSessions> {
  const { cookieName, password, ttl } = await options();
  const sealed = await carriedCookie(cookieName);
  return carriedIn(sealed ? await unsealed(sealed, password as string, ttl) : {});
}

/** Every tap carries the same one, and opening it is dear: what was opened within the hour is not opened again. */
const opened = remembered<{ carried: Promise<Carried>; atMs: number }>(500);
const OPENED_MS = 3600_000;

function unsealed(sealed: string, password: string, ttl?: number): Promise<Carried> {
  const before = opened.recall(sealed);
  if (before && Date.now() - before.atMs < OPENED_MS) return before.carried;
  const carried = unsealData<Carried>(sealed, { password, ttl });
  opened.hold(sealed, { carried, atMs: Date.now() });
  carried.catch(() => opened.forget(sealed));
  return carried;
}

const carrier = async () => getIronSession<Carried>(await cookies(), await options());

function carriedIn({ sessionId, others }: Carried): CarriedSessions {
  if (typeof sessionId !== 'string') return { active: null, all: [] };
  const rest = Array.isArray(others) ? others.filter(one => typeof one === 'string' && one !== sessionId) : [];
  return { active: sessionId, all: [sessionId, ...rest] };
}

/** Lets this device carry sessions beside those it has, and be in the first of them from now on. */
export async function carrySessions(sessionIds: readonly string[]): Promise<void> {
  const session = await carrier();
  const before = carriedIn(session).all.filter(one => !sessionIds.includes(one));
  const [active, ...others] = [...sessionIds, ...before].slice(0, MOST_YARDS);
  session.sessionId = active;
  session.others = others;
  await session.save();
}

/** Lets this device carry none any more. */
export async function carryNone(): Promise<void> {
  (await carrier()).destroy();
}
