import { EmptyState } from '@/components/EmptyState/EmptyState';
import { LinkButton } from '@/components/LinkButton/LinkButton';

export default function NotFound() {
  return (
    <EmptyState
      isPage
      title="There is nothing at this address"
      action={<LinkButton href="/yard">To the yard</LinkButton>}
    >
      The link may be old, or what it named belongs to another database. Nothing was changed: start from one of the five
      places.
    </EmptyState>
  );
}
