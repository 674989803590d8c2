import type { MouseEvent } from 'react';
import { followMade } from './makeFile';

/** What makes a key a link to a file that the server has to make: it says that it is being made until it is there. */
export function made(href: string, name: string) {
  return {
    ...{ component: 'a' as const, href, download: true },
    onClick: (event: MouseEvent<HTMLAnchorElement>) => followMade(event, name),
  };
}
