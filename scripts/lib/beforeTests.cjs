const { mkdtempSync } = require('node:fs');
const { tmpdir } = require('node:os');
const path = require('node:path');
const inOneFile = require('./inOneFile.cjs');

/** Once before all tests of a run: what they use is put in one file, and there is a place for the stores that they begin with. */
module.exports = async project => {
  process.env.ROAN_TEST_FILLED ??= mkdtempSync(path.join(tmpdir(), 'roan-test-filled-'));
  await inOneFile(project);
};
