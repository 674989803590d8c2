/** The tests that run with this have their databases on a libSQL server. */
process.env.ROAN_TEST_STORE = 'server';
