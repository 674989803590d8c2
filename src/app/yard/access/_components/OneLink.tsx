'use client';

import { Modal } from '@/components/Modal/Modal';
import { Button, CopyButton, Stack, Text } from '@mantine/core';
import type { ShownLink } from '../actions';

type OneLinkProps = { title: string; says: string; link: ShownLink | null; onClose: () => void };

/** A link that is shown this once: to scan, and to copy. */
export function OneLink({ title, says, link, onClose }: OneLinkProps) {
  return (
    <Modal opened={link !== null} onClose={onClose} title={title}>
      {link && (
        <Stack gap="sm" align="center">
          <div
            role="img"
            aria-label={`A code to scan for ${title}`}
            data-lit=""
            style={{ width: 240, height: 240 }}
            // Made by the server from an address of its own.
            dangerouslySetInnerHTML={{ __html: link.qr }}
          />
          <Text size="sm" style={{ overflowWrap: 'anywhere' }} data-testid="link">
            {link.href}
          </Text>
          <Text size="sm">{says}</Text>
          <CopyButton value={link.href}>
            {({ copied, copy }) => <Button onClick={copy}>{copied ? 'Copied' : 'Copy the link'}</Button>}
          </CopyButton>
        </Stack>
      )}
    </Modal>
  );
}
