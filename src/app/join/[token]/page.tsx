import { nowMs } from '@/components/nowMs';
import { isToken } from '@/data/access/tokens';
import { deviceLinkPerson } from '@/data/queries/access';
import { roan } from '@/data/roan';
import type { Metadata } from 'next';
import classes from '../../sign-in/page.module.css';
import { JoinForm } from './_components/JoinForm';

export const metadata: Metadata = { title: 'Join', robots: 'noindex' };

/** A device is let in by a link, with one tap: whatever only looks at a link does not use it up. */
export default async function JoinPage({ params }: { params: Promise<{ token: string }> }) {
  const { token } = await params;
  const { db } = await roan();
  const person = isToken(token) ? await deviceLinkPerson(db, token, nowMs()) : null;
  return (
    <div className={classes.door}>
      <h1>Roan</h1>
      {person ? (
        <JoinForm token={token} name={person.name} />
      ) : (
        <p role="alert">This link was used already, or is older than ten minutes: ask for another.</p>
      )}
    </div>
  );
}
