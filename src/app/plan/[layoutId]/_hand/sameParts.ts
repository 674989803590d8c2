/**
 * The value that came, made of the parts of the one before wherever they are alike: data that went from one thread to
 * another is copied, and what is kept by identity would be lost.
 */
export function sameParts<Value>(before: unknown, value: Value): Value {
  if (Object.is(before, value)) return value;
  if (!isRecord(before) || !isRecord(value) || Array.isArray(before) !== Array.isArray(value)) return value;
  const keys = Object.keys(value);
  const parts = keys.map(key => sameParts(before[key], value[key]));
  const isSame =
    keys.length === Object.keys(before).length && keys.every((key, at) => Object.is(before[key], parts[at]));
  if (isSame) return before as Value;
  if (Array.isArray(value)) return parts as Value;
  return Object.fromEntries(keys.map((key, at) => [key, parts[at]])) as Value;
}

/** Plain data: no canvas and nothing else that is more than its parts. */
function isRecord(value: unknown): value is Record<string, unknown> {
  const kind = Object.prototype.toString.call(value);
  return kind === '[object Object]' || kind === '[object Array]';
}
