/**
 * Marks the branch of a switch that no value can reach, so that adding a kind breaks the build.
 * @throws {RangeError} always, showing the value that arrived
 */
export function assertNever(value: never): never {
  throw new RangeError(`Unexpected value: ${JSON.stringify(value)}`);
}
