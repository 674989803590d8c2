import { asSentence, DatabaseRefused } from './databaseRefused';
import { ListRefused } from './queries/yardLists';
import { RecordRefused } from './queries/recording';

/** The class once more, as another bundle of a production build has it. */
function anotherCopy(): typeof DatabaseRefused {
  let copy: typeof DatabaseRefused | undefined;
  jest.isolateModules(() => {
    // eslint-disable-next-line @typescript-eslint/no-require-imports
    copy = (require('./databaseRefused') as { DatabaseRefused: typeof DatabaseRefused }).DatabaseRefused;
  });
  return copy!;
}

test('an error is what it is, whichever copy of its class made it', () => {
  const Copy = anotherCopy();
  expect(Copy).not.toBe(DatabaseRefused);
  const refused = new Copy('The disk is full.');
  expect(refused instanceof DatabaseRefused).toBe(true);
  expect(new DatabaseRefused('x') instanceof Copy).toBe(true);
  // What was said stays what was said.
  expect(asSentence(refused)).toBe(refused);
});

test('a kind of refusal is told from another, and from what is none', () => {
  const record = new RecordRefused('No such pass.');
  expect(record instanceof RecordRefused).toBe(true);
  expect(record instanceof DatabaseRefused).toBe(true);
  expect(record instanceof ListRefused).toBe(false);
  expect(new DatabaseRefused('x') instanceof RecordRefused).toBe(false);
  for (const other of [new Error('x'), null, undefined, 'x', 7])
    expect((other as unknown) instanceof DatabaseRefused).toBe(false);
  expect(asSentence(new Error('SQLITE_FULL: disk')).message).toContain('The disk is full');
});
