import { redirect } from 'next/navigation';
import { may } from './_server/access/rules';
import { yardContext } from './_server/yardContext';

/** The work begins with today; a helper's with setting out, and a rider's with what is theirs. */
export default async function Home() {
  const { who } = await yardContext(may.read);
  const role = who.open ? 'instructor' : who.role;
  redirect({ instructor: '/today', helper: '/set', rider: '/mine' }[role]);
}
