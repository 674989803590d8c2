/** On a loaded machine a test may take long; what never ends is ended all the same. Speed is measured by `npm run bench` alone. */
jest.setTimeout(120_000);
