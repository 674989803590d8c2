import { redirect } from 'next/navigation';

/** The work begins in the yard. */
export default function Home() {
  redirect('/yard');
}
