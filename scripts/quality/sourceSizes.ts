import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

/** A file of source: what it is, and how many lines it has. */
export type SourceFile = { file: string; folder: string; isTest: boolean; lines: number };

/** The folders that are looked at, each by itself. */
export const FOLDERS = ['src/core', 'src/data', 'src/files', 'src/components', 'src/app', 'src/workers', 'src/cli'];
const OTHERS = ['scripts', 'bench', 'e2e'];
const TEST = /\.test\.tsx?$|(^|\/)test[A-Z]\w*\.tsx?$|^e2e\//;

/** Every file of TypeScript, styles apart: lines as they are, blank ones and comments too. */
export function sourceFiles(root = '.'): SourceFile[] {
  return [...FOLDERS, ...OTHERS].flatMap(folder =>
    readdirSync(path.join(root, folder), { recursive: true, encoding: 'utf8' })
      .filter(name => /\.(tsx?|mjs)$/.test(name) && !name.endsWith('.d.mts'))
      .map(name => {
        const file = `${folder}/${name.split(path.sep).join('/')}`;
        const lines = readFileSync(path.join(root, file), 'utf8').trimEnd().split('\n').length;
        return { file, folder, isTest: TEST.test(file), lines };
      }),
  );
}

/** @throws {RangeError} no number at all */
export function median(of: readonly number[]): number {
  if (of.length === 0) throw new RangeError('median: of nothing');
  const sorted = [...of].sort((a, b) => a - b);
  const middle = sorted.length >> 1;
  return sorted.length % 2 === 1 ? sorted[middle]! : (sorted[middle - 1]! + sorted[middle]!) / 2;
}

/** How large the files of each folder are, and how many lines test them. */
export function sizesByFolder(files: readonly SourceFile[]) {
  return [...new Set(files.map(({ folder }) => folder))].map(folder => {
    const own = files.filter(one => one.folder === folder);
    const code = own.filter(({ isTest }) => !isTest);
    const linesOf = (some: readonly SourceFile[]) => some.reduce((sum, { lines }) => sum + lines, 0);
    const tests = own.filter(({ isTest }) => isTest);
    return {
      folder,
      files: code.length,
      lines: linesOf(code),
      medianLines: code.length === 0 ? 0 : median(code.map(({ lines }) => lines)),
      longest: code.reduce((most, { lines }) => Math.max(most, lines), 0),
      testLines: linesOf(tests),
    };
  });
}
