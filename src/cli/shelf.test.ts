import { readLayout } from '@/files/layoutFile';
import { SHELF } from '@/core';
import { runCommand } from './testCommand';
import { shelfLayout, shelfList } from './shelfOutput';

jest.setTimeout(60_000);

const shelf = (...args: string[]) => runCommand('shelf', ...args);

test('without a name the shelf is listed', () => {
  const { status, stdout } = shelf();
  expect(status).toBe(0);
  expect(JSON.parse(stdout)).toHaveLength(SHELF.length);
  expect(shelfList()[0]).toMatchObject({ kind: 'walk-poles', purposes: ['rhythm', 'footwork'], level: 'green' });
});

test('an exercise comes as a layout file, for the arena, the horse and the rein that are asked', () => {
  const { status, stdout } = shelf('serpentine', '--arena', '20x40', '--rein', 'right', '--height-cm', '148');
  expect(status).toBe(0);
  const read = readLayout(JSON.parse(stdout));
  if (!read.ok) throw new Error(read.reason);
  expect(read.layout.arena).toEqual({ widthM: 20, lengthM: 40, letters: '20x40' });
  const [track] = read.layout.tracks;
  expect(track?.kind === 'figures' && track.figures[0]!.figure).toMatchObject({ kind: 'serpentine', rein: 'right' });
});

test('every stage can be asked for', () => {
  const first = shelfLayout('fences-on-bend', { arena: '35x60', stage: '1' });
  if (typeof first === 'string') throw new Error(first);
  expect(first.items.filter(({ kind }) => kind === 'pole')).toHaveLength(4);
  expect(shelfLayout('fences-on-bend', { stage: '9' })).toContain('has 4 stages');
});

test.each([
  [['somersault'], 'no exercise “somersault”'],
  [['grid', 'fan'], 'one exercise at a time'],
  [['grid', '--arena', 'wide'], 'arena:'],
  [['grid', '--arena', '2x60'], '5 to 200 m'],
  [['grid', '--height-cm', '20'], 'height-cm:'],
  [['grid', '--rein', 'up'], 'rein:'],
  [['grid', '--colour', 'red'], '--colour'],
])('%j: one line, exit 2, nothing on standard output', (args, line) => {
  const { status, stdout, stderr } = shelf(...args);
  expect({ status, stdout }).toEqual({ status: 2, stdout: '' });
  expect(stderr.trim().split('\n')).toHaveLength(1);
  expect(stderr).toContain(line);
});
