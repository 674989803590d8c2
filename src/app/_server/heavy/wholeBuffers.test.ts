import { wholeBuffers } from './wholeBuffers';

test('memory that bytes have for themselves is handed over, each once; what is shared is not', () => {
  const own = new Uint8Array(8);
  const [shared] = [new Uint8Array(own.buffer.slice(0), 2, 4)];
  expect(wholeBuffers(own)).toEqual([own.buffer]);
  expect(wholeBuffers(shared)).toEqual([]);
  const texts = [
    { name: 'a', bytes: own },
    { name: 'b', bytes: shared },
    { name: 'c', bytes: own },
  ];
  expect(wholeBuffers({ yardName: 'x', texts, rows: { passes: 3 } })).toEqual([own.buffer]);
  expect(wholeBuffers('text')).toEqual([]);
  expect(wholeBuffers(null)).toEqual([]);
});
