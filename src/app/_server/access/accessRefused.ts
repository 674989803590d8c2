/** Nobody is signed in here, or somebody who may not do this. */
export class AccessRefused extends Error {
  constructor(readonly status: 401 | 403) {
    super(
      status === 401
        ? 'Sign in first: this device is not signed in, or its session has ended.'
        : 'This is not for you to do in this yard: ask the instructor.',
    );
  }
}
