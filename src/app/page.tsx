import { redirect } from 'next/navigation';
import { may } from './_server/access/rules';
import { yardContext } from './_server/yardContext';

/** The work begins with today; a helper's with setting out, a rider's with what is theirs, and the office's with sums. */
export default async function Home() {
  const { who } = await yardContext(may.choose);
  const role = who.open ? 'instructor' : who.role;
  redirect({ instructor: '/today', helper: '/set', rider: '/mine', office: '/office' }[role]);
}
