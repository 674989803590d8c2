import path from 'node:path';
import { dataFolder } from './dataFolder';

test('what belongs to a database lies beside its file; a server has ./data here', () => {
  expect(dataFolder('file:/var/roan/yard.db')).toBe('/var/roan');
  expect(dataFolder('file:./data/roan.db')).toBe(path.resolve('data'));
  expect(dataFolder('libsql://yard.example')).toBe(path.resolve('data'));
});
