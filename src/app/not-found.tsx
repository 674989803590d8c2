import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';

/** The start of each is their own: not everybody may go to the yard. */
export default function NotFound() {
  return (
    <EmptyState isPage title="There is nothing at this address" action={<LinkButton href="/">To the start</LinkButton>}>
      The link may be old, or what it named belongs to another database. Nothing was changed.
    </EmptyState>
  );
}
