import { answering, problemAnswer } from '@/app/_server/answering';
import { may } from '../../../../_server/access/rules';
import { download } from '@/app/_server/download';
import { askerOf, heavyWork } from '@/app/_server/heavy/heavyWork';
import { SETTING_PAPERS } from '@/app/_server/heavy/settingPaper';
import { measureByOf, settingSetup, walkersOf } from '@/app/_server/settingSetup';
import { yardContext, yardGaitWords } from '@/app/_server/yardContext';
import { gone } from '@/app/_server/refusal';

/**
 * The setting sheet as a file: ?as=pdf (with &parts=all for pictures and cards too), csv, numbers or cards (to cut out); &paper=a4 or
 * letter, &by=tapes, &steps=somebody's id, &stage=a stage's key.
 */
export const GET = answering(
  may.help,
  async (request: Request, { params }: { params: Promise<{ layoutId: string }> }) => {
    const { layoutId } = await params;
    const wish = new URL(request.url).searchParams;
    const as = SETTING_PAPERS.find(kind => kind === wish.get('as'));
    const paper = wish.get('paper') ?? 'a4';
    if (!as) return problemAnswer(400, 'Say ?as=pdf, csv, numbers or cards.');
    if (paper !== 'a4' && paper !== 'letter') return problemAnswer(400, 'The paper is a4 or letter.');
    const { db, yard, unit } = await yardContext();
    const setup = await settingSetup(db, yard.id, layoutId, wish.get('stage'));
    if (!setup) return problemAnswer(404, gone('layout'));
    const { layout, whole, from, yardLayout } = setup;
    if (layout.items.length === 0) return problemAnswer(422, 'There is nothing to set in this layout.');
    const walker = (await walkersOf(db, yard.id)).find(({ id }) => id === wish.get('steps')) ?? null;
    const made = await heavyWork(
      'settingPaper',
      {
        ...{ as, layout, whole, from, unit, paper, arenaName: yardLayout.arena.name, marks: yardLayout.arena.marks },
        gaitWords: await yardGaitWords(yard.id),
        measureBy: measureByOf(wish.get('by')),
        stageName: setup.stages.find(({ key }) => key === setup.stage)?.name ?? null,
        walker: walker && { name: walker.name, stepM: walker.stepLengthM },
        parts: wish.get('parts') === 'all' ? 'all' : 'sheet',
      },
      askerOf(request),
    );
    if (made === null) return problemAnswer(422, 'No horse rides this layout yet.');
    if (typeof made === 'string') return download(made, layout.name, '.csv', 'text/csv');
    const named = { numbers: `${layout.name} numbers`, cards: `${layout.name} distances` } as const;
    const name = as === 'numbers' || as === 'cards' ? named[as] : layout.name;
    return download(new Uint8Array(made), name, '.pdf', 'application/pdf');
  },
);
