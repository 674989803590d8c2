import { MantineProvider } from '@mantine/core';
import { render } from '@testing-library/react';
import type { ReactNode } from 'react';
import { LengthsProvider } from '@/components/Lengths/LengthsProvider';
import type { GaitWords, LengthUnit } from '@/core';

type Yard = { unit?: LengthUnit; gaitWords?: GaitWords };

/** For tests: something as it is on a page of a yard, with its unit and its words for gaits. */
export function renderInRoan(shown: ReactNode, { unit = 'm', gaitWords = 'english' }: Yard = {}) {
  return render(shown, {
    wrapper: ({ children }) => (
      <MantineProvider env="test">
        <LengthsProvider unit={unit} gaitWords={gaitWords}>
          {children}
        </LengthsProvider>
      </MantineProvider>
    ),
  });
}
