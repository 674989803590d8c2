/** "1 pass", "2 passes": a number with what it counts. */
export function howMany(number: number, one: string, many = `${one}s`): string {
  return `${number} ${number === 1 ? one : many}`;
}
