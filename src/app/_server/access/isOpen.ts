import 'server-only';

const LOOPBACK = new Set(['127.0.0.1', 'localhost', '::1', '']);

/** Whether Roan is reached from this machine alone: then one person may leave it open, and otherwise nobody may. */
export function isThisMachineOnly(environment: Record<string, string | undefined> = process.env): boolean {
  const { ROAN_HOST = '', ROAN_NETWORK, ROAN_TRUST_PROXY } = environment;
  return LOOPBACK.has(ROAN_HOST.toLowerCase()) && ROAN_NETWORK !== '1' && ROAN_TRUST_PROXY !== '1';
}
