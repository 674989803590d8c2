import { nowMs } from '@/components/nowMs';
import { asOfWords } from '@/files/asOfWords';
import { useState } from 'react';
import { useKeptAt } from './useKeptAt';

/** "No connection: as of 9:40", where the page that is shown is one that the device kept; null where it came from the server. */
export function useAsOf(): string | null {
  const keptAtMs = useKeptAt();
  const [openedAtMs] = useState(nowMs);
  return keptAtMs === null ? null : `No connection: ${asOfWords(keptAtMs, openedAtMs)}`;
}
