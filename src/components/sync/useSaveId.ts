import { newId } from '@/components/newId';
import { useRef } from 'react';

/** Names saves: the same as long as the same is sent, so that one whose answer was lost is not made twice. */
export function useSaveId(): (sent: unknown) => string {
  const last = useRef<{ text: string; id: string } | null>(null);
  return sent => {
    const text = JSON.stringify(sent);
    if (last.current?.text !== text) last.current = { text, id: newId() };
    return last.current.id;
  };
}
