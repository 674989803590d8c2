import { logFault, withoutValues } from './logFault';

test('a fault is written as one line of JSON, without what somebody typed', () => {
  const lines: string[] = [];
  const spy = jest.spyOn(console, 'error').mockImplementation(line => void lines.push(String(line)));
  const cause = Object.assign(new Error('SQLITE_FULL: database or disk is full'), { code: 'SQLITE_FULL' });
  logFault(
    new Error('Failed query: insert into "people" values (?)\nparams: Ode Quillan,rider', { cause }),
    'The disk is full.',
  );
  spy.mockRestore();
  expect(lines).toHaveLength(1);
  expect(lines[0]).not.toContain('\n');
  expect(lines[0]).not.toContain('Ode');
  expect(JSON.parse(lines[0]!)).toMatchObject({
    ...{ what: 'fault', says: 'The disk is full.' },
    causes: [{ message: 'Failed query: insert into "people" values (?)' }, { code: 'SQLITE_FULL' }],
  });
  expect(withoutValues('x')).toBe('x');
});
