import { LinkButton } from '@/components/LinkButton/LinkButton';
import { PageHead } from '@/components/PageHead/PageHead';
import { yardRules } from '@/data/queries/settings';
import type { Metadata } from 'next';
import { may } from '../../_server/access/rules';
import { yardContext } from '../../_server/yardContext';
import { RulesForm } from './_components/RulesForm';

export const metadata: Metadata = { title: 'How this yard teaches' };

export default async function RulesPage() {
  const { db, yard } = await yardContext(may.instruct);
  return (
    <>
      <PageHead
        title="How this yard teaches"
        sub="When the next stage is earned, what a horse may do in a day, and the words on the keys of a lesson."
        actions={
          <LinkButton href="/yard" variant="default">
            To the yard
          </LinkButton>
        }
      />
      <RulesForm first={await yardRules(db, yard.id)} />
    </>
  );
}
