import { createServer } from 'node:http';
import { giveUp } from './run.mjs';

const DEFAULT_PORT = 4747;

/** The port to serve on: ROAN_PORT, then PORT, then Roan's own. */
function chosenPort() {
  const text = process.env.ROAN_PORT ?? process.env.PORT ?? String(DEFAULT_PORT);
  const port = Number(text);
  if (!/^\d+$/.test(text) || port < 1 || port > 65535)
    giveUp(`“${text}” is no port: ROAN_PORT is a number from 1 to 65535.`);
  return port;
}

/** Serves the built pages, and says where in one line once they answer. */
export async function serve(what) {
  process.env.NODE_ENV = 'production';
  process.env.NEXT_TELEMETRY_DISABLED = '1';
  const hostname = process.env.ROAN_HOST ?? '127.0.0.1';
  const port = chosenPort();
  let handle = null;
  const server = createServer((request, response) => {
    if (!canBeRead(request.url))
      return void refuse(response, 404, 'There is nothing at this address: it cannot be read.');
    if (handle) return void handle(request, response);
    response.setHeader('retry-after', '1');
    refuse(response, 503, 'Roan is starting: try again in a moment.');
  });
  await listen(server, port, hostname);
  const { default: next } = await import('next');
  const app = next({ dev: false, hostname, port });
  // The framework's own small talk is kept back; what goes wrong is written to standard error.
  const { log } = console;
  console.log = () => undefined;
  await app.prepare();
  console.log = log;
  handle = app.getRequestHandler();
  // The database is opened with the first page: one that is refused ends the process here, before the line below.
  await fetch(`http://${ownAddress(hostname)}:${port}/yard`);
  console.log(`${what} is at http://${hostname}:${port}`);
  stopCleanly(server);
}

/** Where this machine reaches itself: "everywhere" is no address. */
function ownAddress(hostname) {
  if (hostname === '0.0.0.0') return '127.0.0.1';
  if (hostname === '::') return '[::1]';
  return hostname.includes(':') ? `[${hostname}]` : hostname;
}

/** Whether an address is one: the framework answers a broken one with a fault of its own. */
function canBeRead(url) {
  try {
    decodeURIComponent(url.split('?')[0]);
    return true;
  } catch {
    return false;
  }
}

function refuse(response, status, problem) {
  response.writeHead(status, { 'content-type': 'application/json' }).end(JSON.stringify({ problem }));
}

function listen(server, port, hostname) {
  return new Promise(resolve => {
    server.once('error', error => giveUp(listenFault(error, port, hostname)));
    server.listen(port, hostname, resolve);
  });
}

function listenFault(error, port, hostname) {
  if (error.code === 'EADDRINUSE')
    return `Port ${port} is taken by another program: stop it, or choose another port with ROAN_PORT=${port + 1}.`;
  if (error.code === 'EACCES')
    return `Port ${port} may not be used by this account: choose one above 1023 with ROAN_PORT.`;
  return `Roan cannot listen on ${hostname}:${port}: check ROAN_HOST and ROAN_PORT (${error.code}).`;
}

/** At a signal to stop: no new requests, the running ones end, then the process. */
function stopCleanly(server) {
  for (const signal of ['SIGINT', 'SIGTERM'])
    process.once(signal, () => {
      server.close(() => process.exit(0));
      server.closeIdleConnections();
      setTimeout(() => process.exit(0), 2000).unref();
    });
}
