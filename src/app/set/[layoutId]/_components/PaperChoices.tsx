'use client';

import {
  layoutLabels,
  type ItemTrack,
  type Layout,
  type ReckonedItemTrack,
  type ReckonedTrack,
  type SettingWish,
} from '@/core';
import { made } from '@/components/MadeFile/made';
import { useMayPlan } from '@/components/who/mayPlan';
import { Menu } from '@mantine/core';
import dynamic from 'next/dynamic';
import { Fragment, useState } from 'react';
import { PaperKey } from './PaperKey';

const CallSheet = dynamic(() => import('@/components/CallSheet/CallSheet'), { ssr: false });

/** Sizes of paper, and what they are called. */
const PAPERS = [
  ['a4', 'PDF, A4'],
  ['letter', 'PDF, Letter'],
] as const;

export type PaperMenuProps = {
  layoutId: string;
  measureBy: SettingWish['measureBy'];
  walkerId: string | null;
  stage: string | null;
  layout: Layout;
  tracks: readonly ReckonedTrack[];
  /** The group's horses, in the order of the layout's. */
  horseIds: readonly string[];
};

type Called = { track: ItemTrack; reckoned: ReckonedItemTrack };

/** What there is on paper and as files, in a menu that is open as it comes. */
export function PaperChoices({ layoutId, measureBy, walkerId, stage, layout, tracks, horseIds }: PaperMenuProps) {
  const mayPlan = useMayPlan();
  const [called, setCalled] = useState<Called | null>(null);
  const file = (as: string, more: Record<string, string> = {}) =>
    `/api/layouts/${layoutId}/sheet?${new URLSearchParams({ as, by: measureBy, ...(walkerId ? { steps: walkerId } : {}), ...(stage ? { stage } : {}), ...more })}`;
  const courses = layout.tracks.flatMap(track => {
    const reckoned = tracks.find((one): one is ReckonedItemTrack => one.id === track.id && one.kind === 'items');
    return track.kind === 'items' && reckoned && track.through.length > 1 ? [{ track, reckoned }] : [];
  });
  return (
    <>
      <Menu position="bottom-end" defaultOpened>
        <Menu.Target>
          <PaperKey />
        </Menu.Target>
        <Menu.Dropdown>
          <Menu.Item onClick={() => window.print()}>Print this page</Menu.Item>
          {PAPERS.map(([paper, called]) => (
            <Fragment key={paper}>
              <Menu.Divider />
              <Menu.Label>{called}</Menu.Label>
              <Menu.Item {...made(file('pdf', { paper }), 'The sheet')}>The sheet</Menu.Item>
              <Menu.Item {...made(file('pdf', { paper, parts: 'all' }), 'The sheet with its pictures')}>
                With pictures, call sheet and cards
              </Menu.Item>
              <Menu.Item {...made(file('numbers', { paper }), 'Numbers to cut out')}>Numbers to cut out</Menu.Item>
              {layout.horses.length > 0 && (
                <Menu.Item {...made(file('cards', { paper }), 'Distances to cut out')}>
                  Distances for each horse, to cut out
                </Menu.Item>
              )}
            </Fragment>
          ))}
          <Menu.Divider />
          <Menu.Item component="a" href={`/api/layouts/${layoutId}/drawing`} download>
            Drawing (SVG)
          </Menu.Item>
          <Menu.Item {...made(file('csv'), 'Placings')}>Placings (CSV)</Menu.Item>
          {courses.map(course => (
            <Menu.Item key={course.track.id} onClick={() => setCalled(course)}>
              Called out: {layoutLabels(layout).track(course.track.id)}
            </Menu.Item>
          ))}
          {layout.horses.map(({ name }, index) => {
            const id = horseIds[index];
            return (
              mayPlan &&
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
