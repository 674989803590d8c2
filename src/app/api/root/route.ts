import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { answering, problemAnswer } from '@/app/_server/answering';
import { dataFolder } from '@/data/dataFolder';
import { byItsLink } from '../../_server/access/rules';

/** The root that this Roan's certificate is signed by, for a device that is to trust it. It is public: its key is not here. */
export const GET = answering(byItsLink, async () => {
  const root = await readFile(path.join(dataFolder(), 'network', 'root.pem')).catch(() => null);
  if (root === null)
    return problemAnswer(404, 'This Roan has made no root of its own: it is not served with --network.');
  return new Response(new Uint8Array(root), {
    headers: {
      'content-type': 'application/x-x509-ca-cert',
      'content-disposition': 'attachment; filename="roan-root.crt"',
    },
  });
});
