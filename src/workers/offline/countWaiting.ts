/** How much this device keeps that the server does not have; null where that cannot be read. Makes nothing that is not there. */
export async function countWaiting(factory: IDBFactory): Promise<number | null> {
  const known = await factory.databases().catch(() => []);
  if (!known.some(({ name }) => name === 'roan-kept')) return 0;
  return new Promise(resolve => {
    const opening = factory.open('roan-kept');
    opening.onerror = () => resolve(null);
    opening.onsuccess = () => {
      const db = opening.result;
      try {
        const reading = db.transaction('events');
        const count = reading.objectStore('events').count();
        count.onsuccess = () => resolve(count.result);
        count.onerror = () => resolve(null);
        reading.oncomplete = () => db.close();
      } catch {
        db.close();
        resolve(null);
      }
    };
  });
}
