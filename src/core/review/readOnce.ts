import type { ReviewPass } from './reviewPass';

/** What a pass says never changes: it is read out of it once, and held as long as the pass is. */
export function readOnce<Value>(read: (pass: ReviewPass) => Value): (pass: ReviewPass) => Value {
  const known = new WeakMap<ReviewPass, { value: Value }>();
  return pass => {
    const before = known.get(pass);
    if (before) return before.value;
    const value = read(pass);
    known.set(pass, { value });
    return value;
  };
}
