/** @jest-environment jsdom */
import { eyePicture, TONES, type Camera, type EyePicture } from '@/core';
import { render, screen } from '@testing-library/react';
import { EYE_COLOURS, inLight } from '@/files/eyeColours';
import { EyeStill } from './EyeStill';
import { paintEye, type EyePaper } from './paintEye';

const PICTURE: EyePicture = {
  horizon: 0.25,
  drawn: [
    {
      kind: 'line',
      points: [
        { x: 0, y: 0.5 },
        { x: 1, y: 0.5 },
      ],
    },
    {
      kind: 'face',
      tone: 'wall',
      light: 1,
      of: null,
      points: [
        { x: 0, y: 0 },
        { x: 1, y: 0 },
        { x: 1, y: 1 },
      ],
    },
    {
      kind: 'face',
      tone: 'rail',
      light: 0.5,
      of: 'willow',
      points: [
        { x: 0, y: 0 },
        { x: 0.5, y: 0 },
        { x: 0.5, y: 0.5 },
      ],
    },
    { kind: 'word', at: { x: 0.5, y: 0.25 }, size: 0.1, words: 'C' },
  ],
};

/** A canvas that writes down what it is asked to do. */
function writtenDown(): { paper: EyePaper; calls: string[] } {
  const calls: string[] = [];
  const base: Record<string, unknown> = {};
  const paper = new Proxy(base, {
    get: (of, name: string) =>
      of[name] ??
      ((...args: unknown[]) => {
        calls.push(`${name} ${args.join(' ')}`.trim());
        return { addColorStop: () => undefined };
      }),
    set: (of, name: string, value) => {
      of[name] = value;
      if (name !== 'lineJoin') calls.push(`${name}=${String(value)}`);
      return true;
    },
  }) as unknown as EyePaper;
  return { paper, calls };
}

it('paints from far to near at the size of the canvas; what is ridden at next has the darker edge', () => {
  const { paper, calls } = writtenDown();
  paintEye(paper, PICTURE, { widthPx: 600, heightPx: 400, next: 'willow' });
  expect(calls).toContain('fillRect 0 0 600 100');
  expect(calls).toContain('fillRect 0 100 600 300');
  expect(calls).toContain('lineTo 300 200');
  expect(calls.indexOf('lineTo 600 400')).toBeLessThan(calls.indexOf('lineTo 300 200'));
  expect(calls).toContain('strokeStyle=#20262e');
  expect(calls).toContain('fillText C 300 100');
});

it('stands still as a drawing that says what it shows', () => {
  const { container } = render(<EyeStill picture={PICTURE} aspect={1.5} label="Willow from the saddle" />);
  const drawing = screen.getByRole('img', { name: 'Willow from the saddle' });
  expect(drawing.getAttribute('viewBox')).toBe('0 0 600 400');
  expect(container.querySelectorAll('polygon')).toHaveLength(2);
  expect(container.querySelector('text')?.textContent).toBe('C');
});

it('has a colour for every tone, darker in less light', () => {
  expect(Object.keys(EYE_COLOURS).sort()).toEqual([...TONES].sort());
  expect(inLight('rail', 1)).toBe('rgb(255 253 248)');
  expect(inLight('rail', 0.5)).toBe('rgb(128 127 124)');
});

it('draws an arena without anything in it', () => {
  const camera: Camera = { eye: { xM: 10, yM: 5, zM: 2.4 }, headingRad: 1.57, downRad: 0.1, wideRad: 1, aspect: 1.6 };
  const picture = eyePicture(camera, { arena: { widthM: 20, lengthM: 40, letters: '20x40' }, items: [] });
  const { container } = render(<EyeStill picture={picture} aspect={1.6} label="empty" />);
  expect(container.innerHTML).not.toContain('NaN');
  expect(container.querySelectorAll('text').length).toBeGreaterThanOrEqual(3);
});
