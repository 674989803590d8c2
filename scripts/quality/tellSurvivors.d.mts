/** What is looked at of a result of StrykerJS. */
type Result = {
  status: string;
  fileName: string;
  location: { start: { line: number } };
  mutatorName: string;
  replacement?: string;
};

/** Whether the tests were asked of a change. */
export function isAsked(result: Result): boolean;
export function isNoticed(result: Result): boolean;
/** A change in a line: where it is, and what stands there then. */
export function changeWords(result: Result): string;
