/** The number of the answer that a page knows already (`?after=`); undefined where it knows none. */
export function askedAfter(request: Request): number | undefined {
  const asked = new URL(request.url).searchParams.get('after');
  return asked !== null && /^\d{1,9}$/.test(asked) ? Number(asked) : undefined;
}
