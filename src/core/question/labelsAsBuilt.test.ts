import { riddenGround } from '../review/ground';
import { course } from '../record/testCourse';
import { askedLayout } from './askedLayout';
import { AS_LAID_OUT } from './builtState';
import { labelsAsBuilt } from './labelsAsBuilt';
import { testQuestion } from './testQuestion';

const { layout } = course();
const nameless = { ...layout, items: layout.items.map(item => ({ ...item, name: null })) };

test('a fence keeps its number when another is left out, and one that lies as a pole is a pole', () => {
  const state = { ...AS_LAID_OUT, out: ['heron'], asPole: ['willow'] };
  const asked = askedLayout(nameless, testQuestion('course', { state }))!;
  const { inWords, short } = labelsAsBuilt(nameless, asked);
  expect(['alder', 'rowan', 'willow'].map(inWords)).toEqual(['fence 1', 'fence 3', 'pole 4']);
  expect(short('rowan')).toBe('3');
  // In the review too, a refusal at the third fence stays one at the third.
  const ground = riddenGround(asked, asked, nameless);
  expect(ground.stops.map(({ name }) => name)).toEqual(['fence 1', 'fence 3', 'pole 4', 'fence 5', 'fence 6']);
  expect(ground.legs[0]).toMatchObject({ from: 'fence 1', to: 'fence 3' });
});
