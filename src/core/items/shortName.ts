/** What an item is called within its exercise: "p3" of "sorrel p3". */
export function shortName(id: string): string {
  return id.slice(id.lastIndexOf(' ') + 1);
}
