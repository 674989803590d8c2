import { usualCautions } from './usualCautions';

const words = (...kinds: ('pole' | 'fence' | 'cone')[]) => usualCautions(kinds.map(kind => ({ kind }))).join(' ');

// Common practice, no source.
test('fences ask for somebody on the ground and for empty cups off the stands', () => {
  expect(words('fence')).toContain('on the ground whenever fences are jumped');
  expect(words('fence')).toContain('Empty cups off the stands');
  expect(words('pole')).not.toContain('cups');
});

test('poles ask for none that can roll', () => {
  expect(words('pole', 'cone')).toContain('roll');
  expect(words('cone')).not.toContain('roll');
});

test('helmet, and stopping at signs of pain, hold on the flat too', () => {
  expect(words()).toMatch(/Helmet.*Stop at signs of pain/);
});
