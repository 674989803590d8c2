import { toldApart } from './toldApart';

const layout = (id: string, name: string, when: string) => ({ id, name, when });

test('names that are there twice are told by when they were changed, whatever their letters; others stay', () => {
  const things = [
    layout('a', 'Bend', '3 May, 10:40'),
    layout('b', 'bend ', '4 May, 9:00'),
    layout('c', 'Line', 'today'),
  ];
  expect([...toldApart(things, ({ when }) => when).values()]).toEqual([
    'Bend (of 3 May, 10:40)',
    'bend  (of 4 May, 9:00)',
    'Line',
  ]);
});
