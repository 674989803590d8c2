import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { may } from '../../_server/access/rules';
import { yardContext } from '../../_server/yardContext';
import type { Metadata } from 'next';
import Link from 'next/link';
import { ListBoard } from './_components/ListBoard';

export const metadata: Metadata = { title: 'Lists in and out' };

export default async function FilesPage() {
  await yardContext(may.instruct);
  return (
    <>
      <PageHead
        title="Lists in and out"
        sub="Horses, people, kit and stride tests as CSV, to fill in a spreadsheet or to keep elsewhere."
        actions={
          <LinkButton href="/yard" variant="default">
            To the yard
          </LinkButton>
        }
      />
      <ListBoard />
      <p>
        No stride sensor at hand? <Link href="/yard/stand-in">A simulated one</Link> rides a horse of yours, to try
        tests and records with.
      </p>
    </>
  );
}
