import { wilsonInterval, type Share } from './proportions';

/**
 * Where the difference of two shares lies 95 times in 100, the first less the second: the square-and-add interval of Wilson's
 * limits (Newcombe 1998, Stat. Med. 17:873-890, method 10; from memory).
 */
export function differenceInterval(a: Share, b: Share): { low: number; high: number } {
  if (a.of === 0 || b.of === 0) return { low: -1, high: 1 };
  const [first, second] = [wilsonInterval(a), wilsonInterval(b)];
  const [p, q] = [a.hits / a.of, b.hits / b.of];
  return {
    low: p - q - Math.hypot(p - first.low, second.high - q),
    high: p - q + Math.hypot(first.high - p, q - second.low),
  };
}
