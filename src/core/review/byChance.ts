/** How often as much comes by chance alone, in words. */
export function byChance(p: number): string {
  const often = p < 0.001 ? 'less than once' : `about ${Math.max(1, Math.round(p * 1000))} times`;
  return `by chance alone as much comes ${often} in 1000`;
}
