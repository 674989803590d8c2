/** @jest-environment jsdom */
import { fireEvent, screen, waitFor } from '@testing-library/react';
import { renderInRoan } from '@/components/testing/renderInRoan';
import { NO_EARLIER_WORK, type LayoutHorse, type RecordEvent } from '@/core';
import { countedSaying, testLesson } from '../../_state/testLesson';
import { EMPTY_LOG } from '@/core';
import { CautionGate } from './CautionGate';
import { Ended } from './Ended';
import { OrderToday } from './OrderToday';
import { OtherDay } from './OtherDay';

jest.mock('@/app/ride/saying', () => ({ saying: () => ({ atMs: 5000, by: null, newId: () => 'id' }) }));
jest.mock('@/components/who/mayPlan', () => ({ ForInstructors: ({ children }: { children: unknown }) => children }));

const [moveToNow, refresh] = [jest.fn(), jest.fn()];
jest.mock('../../../actions', () => ({ moveLessonToNowAction: (...sent: unknown[]) => moveToNow(...sent) }));
jest.mock('next/navigation', () => ({ useRouter: () => ({ refresh }) }));

const pair = (horse: string) => ({
  ...{ id: horse, horseId: horse, horse, rider: `of ${horse}`, earlier: NO_EARLIER_WORK, planned: true },
  strides: {} as LayoutHorse,
});

describe('the order of pairs', () => {
  it('goes up by one with a tap; the first stays where it is', () => {
    const onOrder = jest.fn();
    renderInRoan(<OrderToday pairs={['Quill', 'Barley', 'Moth'].map(pair)} ready onOrder={onOrder} />);
    expect(screen.getByRole<HTMLButtonElement>('button', { name: 'Quill rides earlier' }).disabled).toBe(true);
    fireEvent.click(screen.getByRole('button', { name: 'Moth rides earlier' }));
    expect(onOrder).toHaveBeenCalledWith(['Quill', 'Moth', 'Barley']);
  });

  it('is not asked of one pair', () => {
    const { container } = renderInRoan(<OrderToday pairs={[pair('Quill')]} ready onOrder={() => {}} />);
    expect(container.querySelector('section')).toBeNull();
  });
});

describe('before anybody rides', () => {
  const gate = (ready: boolean) => {
    const onRead = jest.fn();
    renderInRoan(<CautionGate name="Tuesday" cautions={['1.2 m is much for Moth.']} {...{ ready, onRead }} />, {
      unit: 'ft',
    });
    fireEvent.click(screen.getByRole('button', { name: 'Begin the lesson' }));
    return onRead;
  };

  it('the cautions are read in the unit of the yard, and the lesson begins', () => {
    expect(gate(true)).toHaveBeenCalledTimes(1);
    expect(screen.getByText(/3 ft 11|4 ft/)).toBeTruthy();
  });

  it('nothing begins before what was kept here is known', () => {
    expect(gate(false)).not.toHaveBeenCalled();
  });
});

describe('a lesson that is over', () => {
  const ended = (canOpen: boolean, endedAtMs: number | null = 4000) => {
    const said: RecordEvent[] = [];
    const lesson = testLesson({ ...EMPTY_LOG, endedAtMs }, events => void said.push(...events), countedSaying());
    renderInRoan(<Ended lessonId="lesson" name="Tuesday" lesson={lesson} overAtMs={null} canOpen={canOpen} />);
    return said;
  };

  it('is read, or opened again on its day', () => {
    const said = ended(true);
    expect(screen.getByText(/It was ended\. 0 passes are in its record\./)).toBeTruthy();
    fireEvent.click(screen.getByRole('button', { name: 'Open it again' }));
    expect(said).toMatchObject([{ type: 'change', change: { what: 'ended', was: 4000, to: null } }]);
  });

  it('is only read on another day; what nobody ended is said to be so', () => {
    ended(false, null);
    expect(screen.queryByRole('button', { name: 'Open it again' })).toBeNull();
    expect(screen.getByRole('link', { name: 'Read its record' }).getAttribute('href')).toBe(
      '/ride/lessons/lesson/record',
    );
    expect(screen.getByText(/Nobody ended it/)).toBeTruthy();
  });
});

describe('a lesson of another day', () => {
  const another = () =>
    renderInRoan(<OtherDay lessonId="lesson" name="Tuesday" day="Friday 6 November" isPast={false} />);
  beforeEach(() => [moveToNow, refresh].forEach(one => one.mockReset()));

  it('is ridden today instead', async () => {
    moveToNow.mockResolvedValue({ ok: true });
    another();
    fireEvent.click(screen.getByRole('button', { name: 'Ride it today instead' }));
    await waitFor(() => expect(refresh).toHaveBeenCalledTimes(1));
    expect(moveToNow).toHaveBeenCalledWith('lesson');
  });

  it('is so too where that was tapped before the page was alive', async () => {
    moveToNow.mockResolvedValue({ ok: true });
    Object.assign(window, { roanEarly: [{ name: 'ride today', atMs: 1 }] });
    another();
    await waitFor(() => expect(moveToNow).toHaveBeenCalledTimes(1));
  });

  it('stays as it was where the server does not answer, and says so', async () => {
    moveToNow.mockRejectedValue(new Error('gone'));
    another();
    fireEvent.click(screen.getByRole('button', { name: 'Ride it today instead' }));
    expect((await screen.findByRole('alert')).textContent).toContain('the lesson is as it was');
    expect(refresh).not.toHaveBeenCalled();
  });
});
