import { drawn } from '@/components/Sand/sandView';
import type { Shape } from '@/components/Sand/shape';
import type { PointM } from '@/core';
import type { Seen } from './trackShapes';

/** Somebody who watches: a head and shoulders. */
export function standShape(at: PointM, { view, textM }: Seen): Shape {
  const { x, y } = view.toPaper(at);
  const place = (a: number, b: number) => `${drawn(x + a * textM * 0.9)} ${drawn(y + b * textM * 0.9)}`;
  const r = drawn(0.32 * textM * 0.9);
  const head = `M${place(0, -0.1)}A${r} ${r} 0 1 0 ${place(0, -0.74)}A${r} ${r} 0 1 0 ${place(0, -0.1)}`;
  const shoulders = `M${place(-0.45, 0.75)}Q${place(-0.45, 0)} ${place(0, 0)}Q${place(0.45, 0)} ${place(0.45, 0.75)}Z`;
  return { kind: 'path', d: head + shoulders, look: 'watcher' };
}
