import { hasPassphrases } from '@/data/queries/access';
import type { Metadata } from 'next';
import { redirect } from 'next/navigation';
import { whoIsThere } from '../_server/access/whoIsThere';
import { roan } from '@/data/roan';
import { BeginForm } from './_components/BeginForm';
import { SignInForm } from './_components/SignInForm';
import classes from './page.module.css';

export const metadata: Metadata = { title: 'Sign in' };

type SignInPageProps = { searchParams: Promise<{ to?: string | string[]; more?: string | string[] }> };

/** Only to a page of Roan: what another site writes into the address leads nowhere else. */
function pageHere(to: string | string[] | undefined): string {
  return typeof to === 'string' && /^\/(?![/\\])/.test(to) && !to.startsWith('/sign-in') ? to : '/';
}

/** Who is there; at the first start, who has the first passphrase. */
export default async function SignInPage({ searchParams }: SignInPageProps) {
  const asked = await searchParams;
  const to = pageHere(asked.to);
  const who = await whoIsThere();
  // Who is in one yard may come into another beside it.
  if (who && (who.open || asked.more !== '1')) redirect(to);
  const { db } = await roan();
  const isFirst = !(await hasPassphrases(db));
  return (
    <div className={classes.door}>
      <h1>Roan</h1>
      {isFirst ? (
        <BeginForm needsCode />
      ) : (
        <>
          <p>Sign in with your name and passphrase, or ask the instructor for a link to scan.</p>
          <SignInForm to={to} />
        </>
      )}
    </div>
  );
}
