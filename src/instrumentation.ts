/** At the start of the server: open and migrate the database, or say in one sentence why not and stop. */
export async function register(): Promise<void> {
  if (process.env.NEXT_RUNTIME !== 'nodejs') return;
  const { openAtStart } = await import('./app/_server/openAtStart');
  await openAtStart();
}
