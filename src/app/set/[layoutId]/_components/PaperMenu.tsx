'use client';

import dynamic from 'next/dynamic';
import { useState } from 'react';
import type { PaperMenuProps } from './PaperChoices';
import { PaperKey } from './PaperKey';

const PaperChoices = dynamic(() => import('./PaperChoices').then(({ PaperChoices: Choices }) => Choices), {
  ssr: false,
  loading: () => <PaperKey loading />,
});

/** The sheet on paper and as files: on the ground one looks at the sheet, and what the menu needs comes when it is asked for. */
export function PaperMenu(props: PaperMenuProps) {
  const [asked, setAsked] = useState(false);
  return asked ? <PaperChoices {...props} /> : <PaperKey aria-haspopup="menu" onClick={() => setAsked(true)} />;
}
