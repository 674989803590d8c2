'use client';

import { ActionIcon, useComputedColorScheme, useMantineColorScheme } from '@mantine/core';
import { useMediaQuery } from '@mantine/hooks';
import { IconMoon, IconSun } from '@tabler/icons-react';

/** Light colours or dark ones: as the device has them, until the others are asked for. The device remembers it. */
export function ColoursKey() {
  const { setColorScheme } = useMantineColorScheme();
  const shown = useComputedColorScheme('light');
  const ofDevice = useMediaQuery('(prefers-color-scheme: dark)') ? 'dark' : 'light';
  const other = shown === 'dark' ? 'light' : 'dark';
  return (
    <ActionIcon
      variant="subtle"
      color="slate"
      aria-label={other === 'dark' ? 'Dark colours' : 'Light colours'}
      // Whoever goes back to what the device has follows it again, in the morning too.
      onClick={() => setColorScheme(other === ofDevice ? 'auto' : other)}
    >
      {other === 'dark' ? <IconMoon size={18} aria-hidden /> : <IconSun size={18} aria-hidden />}
    </ActionIcon>
  );
}
