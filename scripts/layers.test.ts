import { spawnSync } from 'node:child_process';

/** The layer rule is itself tested: each forbidden import must be reported, and each allowed one must not. */
type Case = { from: string; code: string };

const FORBIDDEN: Case[] = [
  { from: 'src/core/arena/x.ts', code: "import { z } from 'zod'; export const y = z;" },
  {
    from: 'src/core/arena/x.ts',
    code: "import { readPlan } from '../../files/planDocument'; export const y = readPlan;",
  },
  { from: 'src/core/arena/x.ts', code: 'export const y = Math.random();' },
  { from: 'src/core/arena/x.ts', code: 'export const y = new Date();' },
  { from: 'src/files/x.ts', code: "import { roan } from '@/data/roan'; export const y = roan;" },
  {
    from: 'src/files/x.ts',
    code: "import { arenaLetters } from '@/core/arena/arenaLetters'; export const y = arenaLetters;",
  },
  { from: 'src/data/x.ts', code: "import { theme } from '@/components/theme'; export const y = theme;" },
  { from: 'src/components/x.ts', code: "import { roan } from '@/data/roan'; export const y = roan;" },
  {
    from: 'src/app/x.ts',
    code: "import { arenaLetters } from '@/core/arena/arenaLetters'; export const y = arenaLetters;",
  },
];

const ALLOWED: Case[] = [
  {
    from: 'src/core/setting/x.ts',
    code: "import { arenaLetters } from '../arena/arenaLetters'; export const y = arenaLetters;",
  },
  { from: 'src/files/x.ts', code: "import { arenaLetters } from '@/core'; export const y = arenaLetters;" },
  { from: 'src/data/x.ts', code: "import { readPlan } from '@/files/planDocument'; export const y = readPlan;" },
  { from: 'src/app/x.ts', code: "import { roan } from '@/data/roan'; export const y = roan;" },
];

let broken: string[][];

beforeAll(() => {
  const { stdout, stderr } = spawnSync(process.execPath, ['scripts/lib/lintTexts.mjs'], {
    input: JSON.stringify([...FORBIDDEN, ...ALLOWED]),
    encoding: 'utf8',
  });
  if (stdout === '') throw new Error(stderr);
  const rules = JSON.parse(stdout.trim().split('\n').at(-1)!) as string[][];
  broken = rules.map(ids => ids.filter(id => /boundaries|restricted/.test(id)));
}, 120_000);

test.each(FORBIDDEN.map((rule, index) => ({ ...rule, index })))('$from may not: $code', ({ index }) => {
  expect(broken[index]).not.toEqual([]);
});

test.each(ALLOWED.map((rule, index) => ({ ...rule, index })))('$from may: $code', ({ index }) => {
  expect(broken[FORBIDDEN.length + index]).toEqual([]);
});
