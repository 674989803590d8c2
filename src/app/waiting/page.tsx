import { PageHead } from '@/components/PageHead/PageHead';
import { may } from '../_server/access/rules';
import { yardContext } from '../_server/yardContext';
import type { Metadata } from 'next';
import { WaitingBoard } from './_components/WaitingBoard';

export const metadata: Metadata = { title: 'Not sent yet' };

/** What this device keeps that the server does not have. */
export default async function WaitingPage() {
  await yardContext(may.read);
  return (
    <>
      <PageHead title="Not sent yet" sub="What was tapped on this device and is not in the yard’s record." />
      <WaitingBoard />
    </>
  );
}
