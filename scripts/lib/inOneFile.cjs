const path = require('node:path');
const { build } = require('esbuild');

/**
 * The core and the parts of pages in one file each, for tests of what uses them: each file of tests has its modules to itself, and some
 * five hundred of them take longer to load than most tests. The core's own tests load what they test.
 */
module.exports = async ({ rootDir }) => {
  const inOneFile = (entry, name) =>
    build({
      absWorkingDir: rootDir,
      entryPoints: [entry],
      outfile: path.join(rootDir, `node_modules/.cache/roan/${name}.cjs`),
      bundle: true,
      packages: 'external',
      format: 'cjs',
      platform: 'node',
      target: 'es2022',
      sourcemap: 'inline',
    });
  await Promise.all([
    inOneFile('src/core/index.ts', 'core'),
    inOneFile(require.resolve('@mantine/core', { paths: [rootDir] }), 'mantine'),
  ]);
};
