/** Begins the framework over what was built, and returns what answers requests with it. */
export async function beginFramework({ hostname, port }) {
  const { default: next } = await import('next');
  const app = next({ dev: false, hostname, port });
  // The framework's own small talk is kept back; what goes wrong is written to standard error.
  const { log } = console;
  console.log = () => undefined;
  await app.prepare();
  console.log = log;
  return app.getRequestHandler();
}
