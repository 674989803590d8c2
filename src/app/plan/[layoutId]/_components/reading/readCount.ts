import type { Read } from '@/components/CommitField/CommitField';

/** A count of strides as it is typed; nothing typed asks for none. */
export function readCount(typed: string): Read<number | null> {
  const text = typed.trim();
  if (text === '') return { ok: true, value: null };
  if (/^\d{1,2}$/.test(text)) return { ok: true, value: Number(text) };
  return { ok: false, reason: 'Type how many strides: a whole number from 0 to 99, or nothing.' };
}
