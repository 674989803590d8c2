/** For tests: how often chance is asked. A few times by `npm test`, and by `npm run test:all` as often as it takes to be sure. */
export const often = (few: number, many: number): number => (process.env.ROAN_TEST_ALL ? many : few);
