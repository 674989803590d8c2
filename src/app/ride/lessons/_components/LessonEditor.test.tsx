/** @jest-environment jsdom */
import { fireEvent, screen, waitFor, within } from '@testing-library/react';
import { alive } from '@/components/testing/alive';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { lineLayout, testHorse } from '@/components/testing/testLine';
import { NO_EARLIER_WORK, USUAL_RULES, type LessonPlan, type LessonStage } from '@/core';
import type { LayoutHere, OfferedHere } from '../lessonChoices';
import { LessonEditor } from './LessonEditor';
import type { LessonPair } from './lessonPair';

const fitted = jest.fn();
jest.mock('../actions', () => ({ fittedStagesAction: (...sent: unknown[]) => fitted(...sent) }));
const saves = { typed: null as { plan: LessonPlan; name: string } | null, saved: 0 };
jest.mock('../_state/useLessonSave', () => ({
  useLessonSave: ({ typed }: { typed: { plan: LessonPlan; name: string } }) => {
    saves.typed = typed;
    return { save: () => (saves.saved += 1), busy: false, said: null, faults: {}, problem: null };
  },
}));
jest.mock('../_state/useTypedLesson', () => ({ useTypedLesson: () => ({ isBack: false, isKept: () => true }) }));
jest.mock('./LessonNotes', () => ({ LessonNotes: () => null }));
jest.mock('./PrintedPlan', () => ({ PrintedPlan: () => null }));

const LAYOUT = lineLayout();
const ASKS = {
  ...{ name: null, what: { kind: 'track', trackId: 'line' }, gait: 'course-canter', rein: null, asked: [] },
  state: { out: [], asPole: [], raisedM: {}, heightM: {}, form: {} },
} as OfferedHere['planned'];
const OFFER: OfferedHere = { planned: ASKS, today: { question: { ...ASKS, id: 'offered' }, words: 'The line' } };
const stage = (id: string, changes: Partial<LessonStage> = {}): LessonStage => ({
  ...{ id, name: id, layoutId: null, focus: 'rhythm', seat: 'rising', minutes: 10, eachRein: 0, questions: [] },
  ...{ policy: 'same question again', stop: { when: 'repetitions' } },
  ...changes,
});
const HERE: LayoutHere[] = [
  {
    ...{ id: 'layout', name: 'A line', arenaId: 'lower', layout: LAYOUT, questions: [OFFER] },
    stages: [{ ...stage('x', { name: 'The line', layoutId: 'layout', eachRein: 2 }), asks: OFFER }].map(
      ({ id: _, questions: __, ...one }) => one,
    ),
  },
];
const pair = (horse: string, heightM: number): LessonPair => ({
  ...{
    id: horse,
    name: `${horse} with Ode`,
    horseId: horse,
    horse,
    rider: 'Ode',
    lately: [],
    earlier: NO_EARLIER_WORK,
  },
  strides: testHorse(horse, heightM, horse),
});
const PAIRS = [pair('Juniper', 1.65), pair('Moss', 1.2)];

/** What comes after the page takes its time in a test. */
const FETCHED = { timeout: 30_000 };

type Told = Pick<React.ComponentProps<typeof LessonEditor>, 'today' | 'riderWork'>;

const editor = (plan: Partial<LessonPlan>, told: Partial<Told> = {}) => (
  <LessonEditor
    {...{ lessonId: 'lesson', arenas: [{ id: 'lower', name: 'Lower sand' }], pairs: PAIRS, layouts: HERE }}
    {...{ limits: USUAL_RULES.limits, riderMarks: [], riderWork: [], today: {}, clashes: [], ...told }}
    first={{
      ...{ name: 'Tuesday', arenaId: 'lower', startsAt: '2026-11-03T17:00', revision: 1 },
      plan: { pairIds: ['Juniper'], stages: [stage('Walk'), stage('Trot')], breakEveryMin: 20, ...plan },
    }}
  />
);

async function edit(plan: Partial<LessonPlan> = {}) {
  renderInRoan(editor(plan));
  await screen.findByRole('region', { name: 'Stages' }, FETCHED);
}
const planned = () => saves.typed!.plan;
const names = () => planned().stages.map(({ name }) => name);
const pick = async (label: string, option: string) => {
  await alive();
  const box = screen.getByRole('combobox', { name: label });
  fireEvent.click(box);
  const list = document.getElementById(box.getAttribute('aria-controls')!)!;
  fireEvent.click(await within(list).findByRole('option', { name: option, hidden: true }));
};

beforeEach(() => {
  fitted.mockReset();
  Object.assign(saves, { typed: null, saved: 0 });
});

test('the stages of a layout come fitted to those who ride', async () => {
  fitted.mockResolvedValue({
    ok: true,
    ...{ breakEveryMin: 12 },
    stages: [{ stage: stage('Fitted', { layoutId: 'layout' }), why: ['All earned it last time.'] }],
  });
  await edit();
  await pick('Add the stages of a layout', 'A line');
  await waitFor(() => expect(names()).toEqual(['Walk', 'Trot', 'Fitted']));
  expect(fitted).toHaveBeenCalledWith('layout', ['Juniper']);
  expect(screen.getByText('All earned it last time.')).toBeTruthy();
  // A lesson that has stages keeps its walk breaks.
  expect(planned().breakEveryMin).toBe(20);
});

test('without an answer they come as the layout has them', async () => {
  fitted.mockRejectedValue(new Error('gone'));
  await edit({ stages: [] });
  await pick('Add the stages of a layout', 'A line');
  await waitFor(() => expect(names()).toEqual(['The line']));
  expect(planned().stages[0]!.questions[0]!.question.what).toEqual(ASKS.what);
});

test('a warm-up comes first, and there is one', async () => {
  await edit();
  fireEvent.click(screen.getByRole('button', { name: 'Add a warm-up' }));
  expect(names()).toHaveLength(3);
  expect(names().slice(1)).toEqual(['Walk', 'Trot']);
  expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Add a warm-up' }).disabled).toBe(true);
});

test('minutes add up, and a stage is taken out', async () => {
  await edit();
  expect(screen.getByText('20 minutes in all')).toBeTruthy();
  fireEvent.change(screen.getByLabelText('Minutes of stage 2'), { target: { value: '25 min' } });
  expect(screen.getByText('35 minutes in all')).toBeTruthy();
  fireEvent.click(screen.getAllByRole('button', { name: 'Take this stage out' })[0]!);
  expect(names()).toEqual(['Trot']);
});

test('what is chosen is changed beside the stages, and let go by the same key', async () => {
  await edit();
  const open = screen.getByRole('button', { name: /^Change stage 2/ });
  fireEvent.click(open);
  const panel = await screen.findByRole('region', { name: 'Stage: Trot' }, { timeout: 5000 });
  fireEvent.change(within(panel).getByLabelText('Stage'), { target: { value: 'In trot' } });
  expect(names()).toEqual(['Walk', 'In trot']);
  fireEvent.click(open);
  await waitFor(() => expect(screen.getByRole('region', { name: 'The lesson as a whole' })).toBeTruthy());
});

test('pairs come and go, and each is read', async () => {
  await edit();
  await pick('Pairs', 'Moss with Ode');
  expect(planned().pairIds).toEqual(['Juniper', 'Moss']);
  fireEvent.click(screen.getByRole('button', { name: 'Take Juniper with Ode out' }));
  expect(planned().pairIds).toEqual(['Moss']);
  fireEvent.click(screen.getByRole('button', { name: 'Take Moss with Ode out' }));
  expect(screen.getByText(/Nobody rides yet/)).toBeTruthy();
});

test('it is kept by its key, as it stands', async () => {
  await edit();
  fireEvent.change(screen.getByLabelText('What it is called'), { target: { value: 'Wednesday' } });
  fireEvent.click(screen.getByRole('button', { name: 'Keep these changes' }));
  expect([saves.saved, saves.typed!.name]).toEqual([1, 'Wednesday']);
});

test('a page that is made again in the middle takes nothing away: a plan that is not kept yet is named anew by it', async () => {
  const question = { ...OFFER.today.question, id: 'as opened' };
  const plan = { stages: [stage('The line', { layoutId: 'layout', questions: [{ question, ofPairs: {} }] })] };
  const told = (id: string) => ({ today: { [id]: { ...OFFER.today, question: { ...question, id } } } });
  const { rerender } = renderInRoan(editor(plan, told('as opened')));
  const first = await screen.findByRole('listitem', { name: 'Stage 1' }, FETCHED);
  rerender(editor(plan, told('named anew')));
  expect(first.textContent).toContain('The line');
  expect(first.textContent).not.toContain('no longer has it');
});
