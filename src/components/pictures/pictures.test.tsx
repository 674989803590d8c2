/** @jest-environment jsdom */
import { cleanup, render } from '@testing-library/react';
import { passCalendar } from '@/core';
import type { ReactElement } from 'react';
import { FaultHalves } from './FaultHalves';
import { GaitBars } from './GaitBars';
import { Halves } from './Halves';
import { LegCounts } from './LegCounts';
import { PassCalendar } from './PassCalendar';
import { PICTURE_WIDTH, roomOf } from './pictureWords';
import { QualityOverTime } from './QualityOverTime';
import { RideBalance } from './RideBalance';
import { RiderBars } from './RiderBars';
import { SettingShares } from './SettingShares';
import { ShareStrips } from './ShareStrips';
import { StrideBands } from './StrideBands';
import { StrideOverTime } from './StrideOverTime';
import { WorkBars } from './WorkBars';

afterEach(cleanup);

const LONG = 'Bartholomew Featherstonehaugh of the Lower Water Meadow with Wilhelmina Anstruther-Gough-Calthorpe';
const MANY = 123_456;
/** Feet and inches take more room than any other length. */
const format = (lengthM: number) => `${Math.floor(lengthM / 0.3048)} ft ${((lengthM / 0.0254) % 12).toFixed(1)} in`;
const learned = (strideM: number) => ({ strideM, lowM: strideM - 0.1, highM: strideM + 0.1, legs: MANY, days: 999 });
const share = (hits: number, of: number) => ({ hits, of });
const months = (n: number) =>
  Array.from({ length: n }, (_, at) => {
    const month = `${2017 + Math.floor(at / 12)}-${String((at % 12) + 1).padStart(2, '0')}`;
    return { month, atMs: Date.parse(`${month}-15T12:00:00Z`), learned: learned(3.2 + at / 400) };
  });
const days = (n: number) =>
  Array.from({ length: n }, (_, at) => ({
    day: new Date(Date.UTC(2017, 0, 1) + at * 5 * 86_400_000).toISOString().slice(0, 10),
    ...{ passes: 1 + (at % 40), clean: at % 2, quality: 1 + (at % 5) },
  }));
const balance = (pairId: string) => ({
  ...{ pairId, name: LONG, told: ['mostly on the left rein: 123456 of 123456'], passes: MANY * 3, jumping: MANY },
  ...{ poles: MANY, flat: MANY, byRein: { left: MANY, right: MANY }, efforts: MANY, lastDay: '2026-05-04' },
});

const PICTURES: [string, ReactElement][] = [
  [
    'two halves',
    <Halves
      key=""
      measures={['clean passes', LONG].map(measure => ({
        measure,
        left: share(MANY - 1, MANY),
        right: share(0, MANY),
      }))}
      names={{ left: LONG, right: LONG }}
      label=""
    />,
  ],
  [
    'gaits that slipped',
    <GaitBars
      key=""
      gaits={(['running-walk', 'saddle-gait'] as const).map(asked => ({
        ...{ asked, passes: MANY, slipped: MANY, heads: { low: 0, 'as wanted': 0, high: 0 } },
        riddenM: { [asked]: 10, 'fox-trot': 50, pace: 1, 'flat-walk': 40 },
      }))}
      label=""
    />,
  ],
  [
    'what was seen of the rider',
    <RiderBars
      key=""
      marks={[{ what: LONG, passes: MANY, early: { of: 9, hits: 9 }, late: { of: MANY, hits: 1 } }]}
      label=""
    />,
  ],
  ['what went wrong', <FaultHalves key="" faults={[{ what: LONG, left: MANY, right: 1, without: MANY }]} label="" />],
  [
    'a stride of ten seasons',
    <StrideOverTime
      key=""
      review={{ byMonth: months(120), learned: learned(3.4) }}
      thoughtM={3.9}
      format={format}
      label=""
    />,
  ],
  [
    'a stride of two months',
    <StrideOverTime
      key=""
      review={{ byMonth: months(2), learned: learned(3.4) }}
      thoughtM={null}
      format={format}
      label=""
    />,
  ],
  [
    'strides as bands',
    <StrideBands
      key=""
      bands={[1.1, 3.4].map(profileM => ({ key: `${profileM}`, words: LONG, ridden: learned(3.4), profileM }))}
      format={format}
      label=""
    />,
  ],
  ['marks of sixty days', <QualityOverTime key="" days={days(60)} label="" />],
  ['marks of two days', <QualityOverTime key="" days={days(2)} label="" />],
  [
    'work',
    <WorkBars
      key=""
      bars={days(60).map(({ day }) => ({ key: day, label: '28 Sep', low: MANY, high: 3 }))}
      limits={[{ at: () => MANY, words: 'limit: 123456 at 0.9 m and over' }]}
      label=""
    />,
  ],
  [
    'legs',
    <LegCounts
      key=""
      legs={[0, 1].map(at => ({
        ...{ key: `${at}`, name: LONG, asked: at, predicted: 12.4 },
        counts: [3, 4, 5, 6, 7, 8, 12].map(count => ({ count, times: MANY })),
      }))}
      label=""
    />,
  ],
  ['a calendar', <PassCalendar key="" weeks={passCalendar(days(60))[0]!} most={40} label="" />],
  ['settings', <SettingShares key="" settings={[{ key: 'a', name: LONG, clean: share(MANY - 1, MANY) }]} label="" />],
  [
    'who shares a spacing',
    <ShareStrips
      key=""
      strips={[
        {
          ...{ key: 'a', words: 'Canter between fences' },
          strides: Array.from({ length: 12 }, (_, at) => ({ id: `${at}`, name: LONG, strideM: 3 + at / 50 })),
          groups: [{ ids: ['0', '1'], leastM: 3, mostM: 3.02 }],
        },
      ]}
      format={format}
      label=""
    />,
  ],
  ['who rode what', <RideBalance key="" pairs={[balance('a'), balance('b')]} label="" />],
];

type Words = { words: string; left: number; right: number; top: number; bottom: number };

/** Where the words of a picture lie, by where each begins and how wide letters are. */
function wordsIn(svg: SVGSVGElement): Words[] {
  return [...svg.querySelectorAll('text')].map(text => {
    const words = text.textContent ?? '';
    let [x, y] = [Number(text.getAttribute('x')), Number(text.getAttribute('y'))];
    for (let over = text.parentElement; over && over !== (svg as Element); over = over.parentElement) {
      const [, dx = '0', dy = '0'] =
        /translate\(([-\d.]+) ([-\d.]+)\)/.exec(over.getAttribute('transform') ?? '') ?? [];
      [x, y] = [x + Number(dx), y + Number(dy)];
    }
    const anchor = text.getAttribute('text-anchor') ?? 'start';
    const left = x - roomOf(words) * (anchor === 'end' ? 1 : anchor === 'middle' ? 0.5 : 0);
    return { words, left, right: left + roomOf(words), top: y - 9, bottom: y + 2 };
  });
}

test.each(PICTURES)(
  '%s: with the longest names and the largest numbers no word is cut off or lies on another',
  (_, picture) => {
    const { container } = render(picture);
    const svg = container.querySelector('svg')!;
    const [, , width, height] = svg.getAttribute('viewBox')!.split(' ').map(Number) as [number, number, number, number];
    expect(width).toBe(PICTURE_WIDTH);
    const all = wordsIn(svg);
    for (const { left, right, bottom, words } of all) {
      expect([words, left >= -0.5 && right <= width + 0.5 && bottom <= height]).toEqual([words, true]);
    }
    all.forEach((one, at) => {
      for (const other of all.slice(at + 1)) {
        const isOn =
          one.left < other.right && other.left < one.right && one.top < other.bottom && other.top < one.bottom;
        expect([one.words, other.words, isOn]).toEqual([one.words, other.words, false]);
      }
    });
    expect(svg.getAttribute('role')).toBe('img');
  },
);

test('a disc is as full as it went clean, and none is larger than its day', () => {
  const weeks = passCalendar([
    { day: '2026-05-04', passes: 10, clean: 10 },
    { day: '2026-05-05', passes: 10, clean: 0 },
    { day: '2026-05-06', passes: 1, clean: 1 },
  ])[0]!;
  const { container } = render(<PassCalendar weeks={weeks} most={10} label="" />);
  const radii = [...container.querySelectorAll('circle')].map(circle => Number(circle.getAttribute('r')));
  const [rim, full, other, empty, small] = radii as [number, number, number, number, number];
  expect(full).toBeCloseTo(rim, 9);
  expect(other).toBeCloseTo(rim, 9);
  expect(empty).toBe(0);
  expect(small).toBeLessThan(rim / 2);
});

test('the halves reach as far out as went well, left to the left', () => {
  const { container } = render(
    <Halves measures={[{ measure: 'clean passes', left: share(3, 4), right: share(1, 4) }]} label="" />,
  );
  const [left, right] = [...container.querySelectorAll('rect')] as [SVGRectElement, SVGRectElement];
  const wide = (rect: SVGRectElement) => Number(rect.getAttribute('width'));
  expect(wide(left) / wide(right)).toBeCloseTo(3, 9);
  expect(Number(left.getAttribute('x')) + wide(left)).toBeCloseTo(Number(right.getAttribute('x')), 9);
});
