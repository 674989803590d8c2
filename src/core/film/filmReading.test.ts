import type { FilmMark, TimedFilmMark } from './filmMark';
import { filmReading, hasSlipped } from './filmReading';
import { filmSentences, filmTime } from './filmWords';

const at = (atS: number, mark: FilmMark): TimedFilmMark => ({ id: `${atS} ${mark.kind}`, atS, ...mark });
const taps = (fromS: number, everyS: number, many: number) =>
  Array.from({ length: many }, (_, index) => at(fromS + index * everyS, { kind: 'stride' }));

/** A minute at home, by hand: running walk asked from 5 s, pace from 20 to 28 s, a halt, and canter asked from 40 s. */
const HOME: TimedFilmMark[] = [
  at(5, { kind: 'asked', gait: 'running-walk' }),
  at(5, { kind: 'gait', ridden: 'running-walk' }),
  at(10, { kind: 'head', height: 'high' }),
  at(16, { kind: 'head', height: 'as wanted' }),
  at(20, { kind: 'gait', ridden: 'pace' }),
  at(28, { kind: 'gait', ridden: 'halt' }),
  at(32, { kind: 'gait', ridden: 'running-walk' }),
  at(40, { kind: 'asked', gait: 'canter' }),
  at(43, { kind: 'gait', ridden: 'canter' }),
  at(43, { kind: 'lead', lead: 'left' }),
  at(52, { kind: 'break' }),
];

describe('what the marks of a film come to', () => {
  it('has no gaps: its stretches are as long as the film', () => {
    const { stretches } = filmReading(HOME, 60);
    expect(stretches.map(({ fromS, toS, ridden, asked }) => [fromS, toS, ridden, asked])).toEqual([
      [0, 5, null, null],
      [5, 20, 'running-walk', 'running-walk'],
      [20, 28, 'pace', 'running-walk'],
      [28, 32, 'halt', 'running-walk'],
      [32, 40, 'running-walk', 'running-walk'],
      [40, 43, 'running-walk', 'canter'],
      [43, 60, 'canter', 'canter'],
    ]);
    expect(stretches.reduce((sum, { fromS, toS }) => sum + toS - fromS, 0)).toBeCloseTo(60, 9);
    expect(stretches.filter(hasSlipped).map(({ fromS }) => fromS)).toEqual([20, 40]);
  });

  it('tells each gait that was asked with what was ridden then; a halt after a slip is none', () => {
    expect(filmReading(HOME, 60).asked).toEqual([
      { asked: 'running-walk', heldS: 27, slipped: [{ into: 'pace', heldS: 8, firstS: 20 }] },
      { asked: 'canter', heldS: 17, slipped: [{ into: 'running-walk', heldS: 3, firstS: 40 }] },
    ]);
  });

  it('tells how long the head was carried how high in each gait', () => {
    expect(filmReading(HOME, 60).heads).toEqual([
      // Six seconds high, and as wanted from 16 s until canter was asked at 40 s, and in canter.
      { gait: 'running-walk', heldS: { low: 0, 'as wanted': 24, high: 6 } },
      { gait: 'canter', heldS: { low: 0, 'as wanted': 20, high: 0 } },
    ]);
  });

  it('counts strides that follow each other within a gait, with their tempo', () => {
    const { strides } = filmReading([...HOME, ...taps(6, 0.8, 8), ...taps(33, 0.8, 5), ...taps(50, 0.6, 3)], 60);
    expect(strides.map(({ fromS, ridden, tempo }) => [fromS, ridden, tempo.strides])).toEqual([
      [6, 'running-walk', 8],
      [33, 'running-walk', 5],
    ]);
    expect(strides[0]!.tempo.perSecond).toBeCloseTo(1.25, 3);
  });

  it('is said in sentences', () => {
    const told = filmSentences(filmReading([...HOME, ...taps(6, 0.8, 8)], 60)).map(line =>
      line.replaceAll('\u00a0', ' '),
    );
    expect(told).toEqual([
      'Running walk as it was asked: 27 s of 35 s; pace 8 s, first at 0:20.',
      'Canter as it was asked: 17 s of 20 s; running walk 3 s, first at 0:40.',
      'Head in running walk, wanted about as high as the rider’s waist: too high for 6 s of 30 s.',
      'Head in canter: as wanted for 20 s.',
      'Leads: left lead at 0:43.',
      'A break of gait: at 0:52.',
      'Running walk from 0:06: 8 strides, 1.25 a second, even.',
    ]);
  });

  it('tells what was ridden by itself where nobody said what was asked', () => {
    const alone = [at(0, { kind: 'gait', ridden: 'trot' }), at(12, { kind: 'gait', ridden: 'canter' })];
    expect(filmSentences(filmReading(alone, 20)).map(line => line.replaceAll('\u00a0', ' '))).toEqual([
      'Ridden: trot 12 s, canter 8 s.',
    ]);
  });

  it('reads a film without a mark, leaves out what lies behind its end, and takes no length that is none', () => {
    expect(filmReading([], 10)).toMatchObject({
      stretches: [{ fromS: 0, toS: 10, ridden: null }],
      asked: [],
      strides: [],
    });
    expect(filmReading([at(12, { kind: 'break' })], 10).breaksS).toEqual([]);
    for (const none of [0, -1, NaN, Infinity]) expect(() => filmReading([], none)).toThrow(RangeError);
  });

  it('takes a course canter for a canter, whichever was asked', () => {
    const [stretch] = filmReading(
      [at(0, { kind: 'asked', gait: 'course-canter' }), at(0, { kind: 'gait', ridden: 'canter' })],
      10,
    ).stretches;
    expect(hasSlipped(stretch!)).toBe(false);
  });
});

test('a time in a film is minutes and seconds', () => {
  expect([0, 9.99, 60, 125.5].map(filmTime)).toEqual(['0:00', '0:09', '1:00', '2:05']);
});
