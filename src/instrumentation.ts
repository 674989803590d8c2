/** At the start of the server: open and migrate the database, or say in one sentence why not and stop. */
export async function register(): Promise<void> {
  // While pages are built nobody is served, and the database is left alone.
  if (process.env.NEXT_RUNTIME !== 'nodejs' || process.env.NEXT_PHASE === 'phase-production-build') return;
  const { openAtStart } = await import('./app/_server/openAtStart');
  await openAtStart();
}
