import path from 'node:path';
import { dataFolder, isOnServer } from './dataFolder';

test('what belongs to a database lies beside its file; a server has ./data here', () => {
  expect(dataFolder('file:/var/roan/yard.db')).toBe('/var/roan');
  expect(dataFolder('file:./data/roan.db')).toBe(path.resolve('data'));
  expect(dataFolder('libsql://yard.example')).toBe(path.resolve('data'));
});

test('a store is on a server by its address, and by what the machine says of it', () => {
  expect([isOnServer('libsql://yard.example'), isOnServer('file:/var/roan/yard.db')]).toEqual([true, false]);
  const before = process.env.ROAN_DATABASE_URL;
  try {
    process.env.ROAN_DATABASE_URL = 'libsql://yard.example';
    expect(isOnServer()).toBe(true);
    delete process.env.ROAN_DATABASE_URL;
    expect([isOnServer(), dataFolder()]).toEqual([false, path.resolve('data')]);
  } finally {
    if (before !== undefined) process.env.ROAN_DATABASE_URL = before;
  }
});
