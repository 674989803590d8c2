import { Alert } from '@mantine/core';

/** What went wrong, in a sentence, read out at once; nothing where nothing did. */
export function Problem({ children }: { children: string | null }) {
  if (children === null) return null;
  return (
    <Alert color="chestnut" role="alert">
      {children}
    </Alert>
  );
}
