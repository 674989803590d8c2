const { rmSync } = require('node:fs');

/** Once after all tests of a run. */
module.exports = () => {
  const folder = process.env.ROAN_TEST_FILLED;
  delete process.env.ROAN_TEST_FILLED;
  if (folder) rmSync(folder, { recursive: true, force: true });
};
