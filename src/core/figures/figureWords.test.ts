import type { Figure, FigurePart } from './figure';
import { figureWords } from './figureWords';

const start = { at: { xM: 0, yM: 0 }, headingRad: 0 };
const words = (figure: object, { name = null, parts = [] }: { name?: string | null; parts?: FigurePart[] } = {}) =>
  figureWords({ name, parts, figure: { start, rein: 'left', ...figure } as Figure });

test.each([
  [{ kind: 'circle', diameterM: 20, rounds: 1 }, '20 m circle'],
  [{ kind: 'circle', diameterM: 12.34, rounds: 1 }, '12.3 m circle'],
  [{ kind: 'spiral', diametersM: [20, 15, 10], school: 'bend', times: 1 }, 'spiral, 20 m to 10 m'],
  [{ kind: 'spiral', diametersM: [20, 10, 15], school: 'yield', times: 1 }, 'spiral, 20 m to 10 m, yielding in'],
  [{ kind: 'serpentine', loops: 3, lengthM: 60, widthM: 20 }, 'serpentine of 3 loops'],
  [{ kind: 'serpentine', loops: 3, lengthM: 60, widthM: 20, yieldM: 2 }, 'serpentine of 3 loops, yielding out'],
  [{ kind: 'eight', firstDiameterM: 10, secondDiameterM: 10, times: 1 }, 'eight of 10 m'],
  [{ kind: 'eight', firstDiameterM: 10, secondDiameterM: 20, times: 1 }, 'eight of 10 m and 20 m'],
  [{ kind: 'half-circle-return', diameterM: 10, returnM: 20, lineFirst: false }, '10 m half circle and return'],
  [{ kind: 'change-rein', end: start }, 'change of rein'],
  [{ kind: 'round-arena', cornerRadiusM: 5, rounds: 1 }, 'round the arena'],
  [{ kind: 'shallow-loop', lengthM: 48, depthM: 5 }, 'shallow loop of 5 m'],
  [{ kind: 'straight', lengthM: 18.288 }, 'straight line of 18.3 m'],
  [{ kind: 'sideways', movement: 'leg-yield', towards: 'left', aheadM: 8, asideM: 5 }, 'leg-yield'],
  [{ kind: 'rail-turnback', alongM: 20, offM: 3 }, 'rail turnback'],
  [{ kind: 'station', deed: { kind: 'turn-on-forehand', turnRad: 1 } }, 'turn on forehand'],
])('%j is called %s', (figure, called) => expect(words(figure)).toBe(called));

test('its own name goes before all, then what is done in it', () => {
  const circle = { kind: 'circle', diameterM: 20, rounds: 1 };
  const sideways = { fromM: 0, toM: 5, sideways: 'counter-shoulder-in' } as FigurePart;
  const rest = { fromM: 0, toM: 5, rest: 'free-walk' } as FigurePart;
  expect(words(circle, { name: 'the warm-up', parts: [sideways] })).toBe('the warm-up');
  expect(words(circle, { parts: [rest, sideways] })).toBe('counter shoulder in');
  expect(words(circle, { parts: [rest] })).toBe('free walk');
  expect(words(circle, { parts: [{ fromM: 0, toM: 5, gait: 'canter' }] })).toBe('20 m circle');
});
