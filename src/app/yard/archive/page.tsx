import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { listBackups } from '@/data/archive/backups';
import { listYards } from '@/data/queries/yards';
import { isEmptyYard } from '@/data/archive/restoreArchive';
import type { Metadata } from 'next';
import { connection } from 'next/server';
import { dataFolders } from '../../_server/dataFolders';
import { may } from '../../_server/access/rules';
import { yardContext } from '../../_server/yardContext';
import { yardTime } from '../../_server/yardTime';
import { ArchiveBoard } from './_components/ArchiveBoard';

export const metadata: Metadata = { title: 'All data out and in' };

export default async function ArchivePage() {
  await connection();
  const { db, yard, who } = await yardContext(may.instruct);
  const isAlone = (await listYards(db)).length === 1;
  const folders = dataFolders();
  return (
    <>
      <PageHead
        title="All data out and in"
        sub="One open archive of everything: JSON to restore from, CSV for a spreadsheet, and a README that says what is what."
        actions={
          <LinkButton href="/yard" variant="default">
            To the yard
          </LinkButton>
        }
      />
      <ArchiveBoard
        isEmpty={await isEmptyYard({ db }, { yardId: yard.id, personId: who.open ? null : who.id })}
        folder={folders.backups}
        second={folders.second}
        backups={(isAlone ? listBackups(folders.backups) : []).map(({ name, sizeBytes, madeAtMs }) => ({
          ...{ name, sizeBytes, when: yardTime(madeAtMs, yard.timeZone, 'ddd D MMM YYYY, HH:mm') },
        }))}
      />
    </>
  );
}
