import { DEFAULT_LEG, type ItemTrack, type Layout, type LayoutHorse } from '../layout/layout';
import { newItem } from '../plan/newItem';
import { rideCells, togetherOn } from './rideTogether';

const track: ItemTrack = {
  ...{ kind: 'items', id: 'line', name: null, gait: 'course-canter', course: null, passes: 1 },
  through: ['heron', 'willow'].map(item => ({ item, reversed: false })),
  legs: [{ ...DEFAULT_LEG }],
};
/** 18.1 m: five strides of ground of 3.62 m, an easy four (whole strides; common practice, no source). */
const line: Layout = {
  ...{ name: 'line', arena: { widthM: 20, lengthM: 60, letters: 'none' }, fall: null, school: 'whole-stride' },
  items: [15, 33.1].map((yM, at) => newItem('vertical', ['heron', 'willow'][at]!, { xM: 10, yM }, Math.PI / 2)),
  ...{ tracks: [track], horses: [], kit: null },
};

function horse(id: string, normalM: number): LayoutHorse {
  const stride = { shortM: normalM * 0.9, normalM, longM: normalM * 1.1 };
  return {
    ...{ id, name: id, heightM: 1.6, type: 'warmblood', level: 'novice' },
    strides: { 'course-canter': stride },
  };
}

test('each horse has its counts and the word of its hardest leg; who is at ease in the same counts rides together', () => {
  const cells = rideCells(line, track, [
    horse('mare', 3.62),
    horse('cob', 3.0),
    horse('blood', 3.65),
    horse('big', 4.3),
  ]);
  expect(cells).toMatchObject([
    { horseId: 'mare', counts: [4], word: 'easy' },
    // 18.1 / 3.0 is a little over six: an easy five.
    { horseId: 'cob', counts: [5], word: 'easy' },
    { horseId: 'blood', counts: [4], word: 'easy' },
    { horseId: 'big' },
  ]);
  expect(togetherOn(cells)).toEqual([['mare', 'blood']]);
});

test('what cannot be ridden has no word, and nobody rides alone together', () => {
  const bounce: ItemTrack = { ...track, legs: [{ ...DEFAULT_LEG, asked: 9 }] };
  const [cell] = rideCells(line, bounce, [horse('mare', 3.62)]);
  // Nine strides in 18.1 m: 1.81 m each, half of its own.
  expect(cell!.word === null || cell!.word === 'too tight').toBe(true);
  expect(togetherOn([cell!])).toEqual([]);
  expect(
    togetherOn([
      { horseId: 'a', counts: [], word: null },
      { horseId: 'b', counts: [], word: null },
    ]),
  ).toEqual([]);
});
