const KB = 1024;

/** The size of a file in words: "3.4 MB". */
export function sizeWords(bytes: number): string {
  if (bytes < KB) return `${bytes} bytes`;
  if (bytes < KB ** 2) return `${Math.round(bytes / KB)} kB`;
  return `${(bytes / KB ** 2).toFixed(1)} MB`;
}
