import { median, sizesByFolder, sourceFiles, type SourceFile } from './sourceSizes';

test('the middle of some numbers', () => {
  expect(median([9, 1, 5])).toBe(5);
  expect(median([4, 1, 3, 2])).toBe(2.5);
  expect(() => median([])).toThrow(RangeError);
});

test('lines of tests are counted apart from what they test', () => {
  const of = (file: string, lines: number, isTest = false): SourceFile => ({ file, folder: 'src/core', isTest, lines });
  const [core] = sizesByFolder([of('src/core/a.ts', 10), of('src/core/b.ts', 40), of('src/core/a.test.ts', 25, true)]);
  expect(core).toEqual({
    ...{ folder: 'src/core', files: 2, lines: 50, medianLines: 25, longest: 40 },
    testLines: 25,
  });
});

test('the sources are read: what only tests use counts as a test, a style as nothing', () => {
  const files = sourceFiles();
  const one = (file: string) => files.find(found => found.file === file);
  expect(one('src/core/geometry/arcLength.ts') ?? one('src/core/index.ts')).toMatchObject({ isTest: false });
  expect(one('src/data/testDatabase.ts')).toMatchObject({ isTest: true, folder: 'src/data' });
  expect(one('e2e/wholePath.spec.ts')).toMatchObject({ isTest: true, folder: 'e2e' });
  expect(files.some(({ file }) => file.endsWith('.css'))).toBe(false);
});
