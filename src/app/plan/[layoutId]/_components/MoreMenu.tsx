'use client';

import { ActionIcon, Menu } from '@mantine/core';
import { IconDots } from '@tabler/icons-react';
import Link from 'next/link';
import { FileItems } from '../../_components/FileItems';

type MoreMenuProps = { layoutId: string; onSelectAll: () => void; onRefit: () => void; onCompose: () => void };

/** What is seldom done with a layout. */
export default function MoreMenu({ layoutId, onSelectAll, onRefit, onCompose }: MoreMenuProps) {
  return (
    <Menu position="bottom-end">
      <Menu.Target>
        <ActionIcon variant="default" size="md" aria-label="More">
          <IconDots size={16} />
        </ActionIcon>
      </Menu.Target>
      <Menu.Dropdown>
        <Menu.Item component={Link} href={`/plan/${layoutId}/versions`}>
          Versions
        </Menu.Item>
        <FileItems layoutId={layoutId} />
        <Menu.Item onClick={onSelectAll}>Select everything</Menu.Item>
        <Menu.Item onClick={onCompose}>Compose a course</Menu.Item>
        <Menu.Item onClick={onRefit}>Take it to another arena</Menu.Item>
        <Menu.Item component={Link} href="/plan/keys">
          Keys
        </Menu.Item>
      </Menu.Dropdown>
    </Menu>
  );
}
