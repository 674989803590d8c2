/** One clear line on standard error, nothing on standard output, and the exit code 2. */
export function refuse(sentence: string): never {
  process.stderr.write(`${sentence.replace(/\s*\n\s*/g, ' ')}\n`);
  process.exit(2);
}
