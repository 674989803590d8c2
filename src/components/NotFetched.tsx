/** In place of a part of a page that could not be fetched. */
export function NotFetched() {
  return (
    <p role="alert">
      This part could not be fetched: there is no connection. What was tapped is kept.{' '}
      <a href="">Load the page again</a> when there is one.
    </p>
  );
}
