/**
 * What chance chooses in a test is the same at each `npm test`, so that it judges the change and not the dice;
 * `npm run test:all` throws them anew. ROAN_TEST_SEED names another throw.
 */
const fc = require('../../node_modules/fast-check/lib/cjs/fast-check.js');
const { ROAN_TEST_SEED, ROAN_TEST_ALL } = process.env;
const seed = ROAN_TEST_SEED ? Number(ROAN_TEST_SEED) : ROAN_TEST_ALL ? Date.now() & 0x7fffffff : 20_260_401;
fc.configureGlobal({ ...fc.readConfigureGlobal(), seed });
module.exports = fc;
