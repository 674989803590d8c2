'use client';

import { EmptyState } from '@/components/EmptyState/EmptyState';
import { Button } from '@mantine/core';

/** What the reader sees when a page fails: what is safe, and what to do. */
export default function PageError({ reset }: { error: Error; reset: () => void }) {
  return (
    <EmptyState title="This page could not be shown" action={<Button onClick={reset}>Try again</Button>}>
      What was saved is safe in the database. Try again; if it stays like this, stop Roan and start it again.
    </EmptyState>
  );
}
