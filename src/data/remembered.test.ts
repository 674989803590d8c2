import { forgetAll, remembered } from './remembered';

const letters = (names: readonly string[]) => Promise.resolve(names.map(name => [name, name.toUpperCase()] as const));

describe('what was read before', () => {
  it('is not read again', async () => {
    const memory = remembered<string>(10);
    const read = jest.fn(letters);
    expect([...(await memory.each('yard', ['a', 'b', 'a'], read))]).toEqual([
      ['a', 'A'],
      ['b', 'B'],
    ]);
    expect(await memory.each('yard', ['b', 'c'], read)).toEqual(
      new Map([
        ['b', 'B'],
        ['c', 'C'],
      ]),
    );
    expect(read.mock.calls).toEqual([[['a', 'b']], [['c']]]);
    await memory.each('yard', ['a', 'b', 'c'], read);
    expect(read).toHaveBeenCalledTimes(2);
  });

  it('gives way to what is asked for, the longest ago first', () => {
    const memory = remembered<number>(2);
    memory.hold('a', 1);
    memory.hold('b', 2);
    expect(memory.recall('a')).toBe(1);
    memory.hold('c', 3);
    expect([memory.recall('a'), memory.recall('b'), memory.recall('c')]).toEqual([1, undefined, 3]);
  });

  it('holds as many as it may, and none is counted twice', () => {
    const memory = remembered<number>(2);
    for (const value of [1, 2, 3]) memory.hold('a', value);
    memory.hold('b', 4);
    expect([memory.recall('a'), memory.recall('b')]).toEqual([3, 4]);
  });

  it('holds that nothing is there, where that is what was read', async () => {
    const memory = remembered<string | null>(2);
    const read = jest.fn(async (names: readonly string[]) => names.map(name => [name, null] as const));
    await memory.each('yard', ['a'], read);
    expect(await memory.each('yard', ['a'], read)).toEqual(new Map([['a', null]]));
    expect(read).toHaveBeenCalledTimes(1);
  });

  it('keeps yards apart', async () => {
    const memory = remembered<string>(10);
    await memory.each('here', ['a'], letters);
    const there = await memory.each('there', ['a'], async () => [['a', 'another'] as const]);
    expect(there.get('a')).toBe('another');
  });

  it('asks again for what was not found, and for what is forgotten', async () => {
    const memory = remembered<string>(4);
    const read = jest.fn(async () => [] as (readonly [string, string])[]);
    expect(await memory.each('yard', ['a'], read)).toEqual(new Map());
    await memory.each('yard', ['a'], read);
    expect(read).toHaveBeenCalledTimes(2);
    memory.hold('b', 'B');
    memory.forget('b');
    expect(memory.recall('b')).toBeUndefined();
  });

  it('forgets in all memories at once', () => {
    const memories = [remembered<string>(4), remembered<string>(4)];
    for (const memory of memories) memory.hold('a', 'A');
    forgetAll();
    expect(memories.map(memory => memory.recall('a'))).toEqual([undefined, undefined]);
  });

  it('gives all that is asked for where that is more than it holds', async () => {
    const memory = remembered<string>(2);
    memory.hold('yard a', 'A');
    const all = await memory.each('yard', ['a', 'b', 'c', 'd'], letters);
    expect([...all.values()]).toEqual(['A', 'B', 'C', 'D']);
  });

  it('is not emptied for who reads by others that read meanwhile', async () => {
    const memory = remembered<string>(2);
    let goOn = () => {};
    const slow = memory.each('yard', ['a', 'b'], async names => {
      await new Promise<void>(done => (goOn = done));
      return letters(names);
    });
    await memory.each('yard', ['c', 'd', 'e'], letters);
    goOn();
    expect([...(await slow).keys()]).toEqual(['a', 'b']);
  });

  it('holds one thing at least', () => {
    expect(() => remembered(0)).toThrow(RangeError);
    expect(() => remembered(NaN)).toThrow(RangeError);
    const memory = remembered<number>(1);
    memory.hold('a', 1);
    expect(memory.recall('a')).toBe(1);
  });
});
