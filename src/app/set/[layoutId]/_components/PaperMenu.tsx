'use client';

import {
  layoutLabels,
  type ItemTrack,
  type Layout,
  type ReckonedItemTrack,
  type ReckonedTrack,
  type SettingWish,
} from '@/core';
import { Button, Menu } from '@mantine/core';
import { IconPrinter } from '@tabler/icons-react';
import dynamic from 'next/dynamic';
import { useState } from 'react';

const CallSheet = dynamic(() => import('@/components/CallSheet/CallSheet'), { ssr: false });

type PaperMenuProps = {
  layoutId: string;
  measureBy: SettingWish['measureBy'];
  walkerId: string | null;
  layout: Layout;
  tracks: readonly ReckonedTrack[];
  /** The group's horses, in the order of the layout's. */
  horseIds: readonly string[];
};

type Called = { track: ItemTrack; reckoned: ReckonedItemTrack };

/** The sheet on paper and as files. */
export function PaperMenu({ layoutId, measureBy, walkerId, layout, tracks, horseIds }: PaperMenuProps) {
  const [called, setCalled] = useState<Called | null>(null);
  const file = (as: string, more: Record<string, string> = {}) =>
    `/api/layouts/${layoutId}/sheet?${new URLSearchParams({ as, by: measureBy, ...(walkerId ? { steps: walkerId } : {}), ...more })}`;
  const courses = layout.tracks.flatMap(track => {
    const reckoned = tracks.find((one): one is ReckonedItemTrack => one.id === track.id && one.kind === 'items');
    return track.kind === 'items' && reckoned && track.through.length > 1 ? [{ track, reckoned }] : [];
  });
  return (
    <>
      <Menu position="bottom-end">
        <Menu.Target>
          <Button leftSection={<IconPrinter size={16} />}>On paper</Button>
        </Menu.Target>
        <Menu.Dropdown>
          <Menu.Item onClick={() => window.print()}>Print this page</Menu.Item>
          <Menu.Item component="a" href={file('pdf')} download>
            PDF for A4
          </Menu.Item>
          <Menu.Item component="a" href={file('pdf', { paper: 'letter' })} download>
            PDF for Letter
          </Menu.Item>
          <Menu.Item component="a" href={`/api/layouts/${layoutId}/drawing`} download>
            Drawing (SVG)
          </Menu.Item>
          <Menu.Item component="a" href={file('csv')} download>
            Placings (CSV)
          </Menu.Item>
          {courses.map(course => (
            <Menu.Item key={course.track.id} onClick={() => setCalled(course)}>
              Called out: {layoutLabels(layout).track(course.track.id)}
            </Menu.Item>
          ))}
          {layout.horses.map(({ name }, index) => {
            const id = horseIds[index];
            return (
              id && (
                <Menu.Item key={id} component="a" href={`/yard/horses/${id}/card`}>
                  Distances for {name}
                </Menu.Item>
              )
            );
          })}
        </Menu.Dropdown>
      </Menu>
      {called && <CallSheet layout={layout} {...called} onClose={() => setCalled(null)} />}
    </>
  );
}
