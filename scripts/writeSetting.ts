/** Writes docs/setting.md: ten layouts set along the line and from the walls, walked on paper by one person. */
import { writeFileSync } from 'node:fs';
import { layOutExercise } from '../src/core/exercises/layOutExercise';
import { SHELF } from '../src/core/exercises/shelf';
import type { Arena } from '../src/core/arena/arena';
import type { LayoutHorse } from '../src/core/layout/layout';
import { settingSheet, type MeasureBy } from '../src/core/setting/settingSheet';
import { settingWalk } from '../src/core/setting/settingWalk';

const ARENA: Arena = { widthM: 20, lengthM: 60, letters: '20x60' };
const HORSE: LayoutHorse = { id: 'h', name: 'h', heightM: 1.6, type: 'all-round', level: 'novice', strides: {} };
const WAY_IN = { xM: 10, yM: 0 };
const KINDS = SHELF.map(({ kind }) => kind);
const MOST = 10;

type Compared = {
  title: string;
  pieces: number;
  line: ReturnType<typeof settingWalk>;
  walls: ReturnType<typeof settingWalk>;
};

const compared = KINDS.flatMap((kind): Compared[] => {
  const recipe = SHELF.find(one => one.kind === kind)!;
  const ground = { arena: ARENA, school: 'whole-stride' as const, horses: [HORSE] };
  const { items, tracks } = layOutExercise(recipe, ground, { rein: 'left' }).exercise;
  if (items.length < 3) return [];
  const walk = (measureBy: MeasureBy) =>
    settingWalk(
      { arena: ARENA, items },
      settingSheet({ arena: ARENA, items, tracks }, { measureBy, from: WAY_IN }),
      WAY_IN,
    );
  return [{ title: recipe.guidance.title, pieces: items.length, line: walk('line'), walls: walk('walls') }];
})
  .sort((a, b) => b.pieces - a.pieces)
  .slice(0, MOST);

const sum = (of: (one: Compared) => number) => compared.reduce((all, one) => all + of(one), 0);
const whole = (value: number) => String(Math.round(value));
const rows = compared.map(
  ({ title, pieces, line, walls }) =>
    `| ${title} | ${pieces} | ${whole(line.walkedM)} | ${whole(walls.walkedM)} | ${line.measures} | ${walls.measures} |`,
);
const all = `| **All** | ${sum(one => one.pieces)} | ${whole(sum(one => one.line.walkedM))} | ${whole(sum(one => one.walls.walkedM))} | ${sum(one => one.line.measures)} | ${sum(one => one.walls.measures)} |`;

writeFileSync(
  'docs/setting.md',
  `# Set along the line and from the walls

Written by \`npm run docs:setting\`: the ${compared.length} exercises of the shelf with the most pieces, in an arena of 20 × 60 m, each set by
one person who walks from measure to measure in their order and along each of them once, from the middle of the near short side,
with the kit at hand (\`src/core/setting/settingWalk.ts\`). What follows from a piece's own length is neither walked nor read.

| Exercise | Pieces | Metres walked, line | walls | Measures read, line | walls |
| --- | --- | --- | --- | --- | --- |
${rows.join('\n')}
${all}
`,
);
