/** @jest-environment jsdom */
import { render, screen } from '@testing-library/react';
import type { ComponentType } from 'react';
import { PadHelp, RibbonHelp, SettingHelp, SureHelp } from './helps';

const HELPS: [string, ComponentType][] = [
  ['ribbon', RibbonHelp],
  ['setting', SettingHelp],
  ['pad', PadHelp],
  ['review', SureHelp],
];

test.each(HELPS)('help with the %s is one picture and a sentence or two, folded until somebody asks', (_, Help) => {
  const { container } = render(<Help />);
  const details = container.querySelector('details')!;
  expect(details.open).toBe(false);
  expect(details.querySelector('summary')!.textContent).toMatch(/\?$/);
  expect(container.querySelectorAll('svg')).toHaveLength(1);
  const says = container.querySelector('figcaption')!.textContent!;
  expect(says.split(/[.;](?: |$)/).filter(Boolean).length).toBeLessThanOrEqual(3);
  expect(says).not.toMatch(/canter|trot|walk\b/);
});

test('what the picture of the pad numbers is what its sentence numbers', () => {
  const { container } = render(<PadHelp />);
  const drawn = [...container.querySelectorAll('svg text')].map(one => one.textContent);
  expect(drawn.sort()).toEqual(['1', '2', '3', '4', '5']);
  for (const number of drawn) expect(screen.getByText(new RegExp(`\\(${number}\\)`))).toBeTruthy();
});
