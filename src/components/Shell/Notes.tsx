'use client';

import dynamic from 'next/dynamic';

const Notifications = dynamic(() => import('@mantine/notifications').then(({ Notifications: Shown }) => Shown), {
  ssr: false,
});

/** Where short notes appear: none is there while a page is made, so what shows them comes after it. */
export function Notes() {
  return <Notifications position="bottom-right" />;
}
