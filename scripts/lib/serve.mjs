import { randomBytes } from 'node:crypto';
import { createServer } from 'node:http';
import { createServer as createSecureServer } from 'node:https';
import { createServer as createDoor } from 'node:net';
import path from 'node:path';
import QRCode from 'qrcode';
import { certificate } from './certificate.mjs';
import { beginFramework } from './framework.mjs';
import { logAnswers } from './logLine.mjs';
import { mindHeaders } from './mindHeaders.mjs';
import { networkAddresses } from './places.mjs';
import { pagesBeside } from './pagesBeside.mjs';
import { giveUp } from './run.mjs';
import { staticsFrom } from './statics.mjs';
import { answerTap, isTap } from './taps.mjs';

const DEFAULT_PORT = 4747;

/** The port to serve on: ROAN_PORT, then PORT, then Roan's own. */
function chosenPort() {
  const text = process.env.ROAN_PORT ?? process.env.PORT ?? String(DEFAULT_PORT);
  const port = Number(text);
  if (!/^\d+$/.test(text) || port < 1 || port > 65535)
    giveUp(`“${text}” is no port: ROAN_PORT is a number from 1 to 65535.`);
  return port;
}

/** Serves the built pages, and says where in one line once they answer; with `--network` over HTTPS, to other devices too. */
export async function serve(what, args = process.argv.slice(2)) {
  process.env.NODE_ENV = 'production';
  process.env.NEXT_TELEMETRY_DISABLED = '1';
  // What Roan writes from here on is for this account alone: the record, its copies, keys.
  process.umask(0o077);
  const asked = networkArguments(args);
  if (asked.network) return serveNetwork(what, asked);
  const hostname = process.env.ROAN_HOST ?? '127.0.0.1';
  const port = chosenPort();
  const answers = laterAnswers();
  const server = createServer(answers.answer);
  await listen(server, port, hostname);
  askForSetup(hostname);
  await answers.begin({ hostname, port });
  // The database is opened with the first page: one that is refused ends the process here, before the line below.
  const opened = await fetch(`http://${ownAddress(hostname)}:${port}/sign-in`, { redirect: 'manual' });
  console.log(`${what} is at http://${hostname}:${port}`);
  await sayCode(opened);
  stopCleanly(server);
}

/** Over HTTPS on every address of this machine; what comes in plain is sent on to HTTPS, on the same port. */
async function serveNetwork(what, { cert, key }) {
  process.env.ROAN_NETWORK = '1';
  const port = chosenPort();
  const made = await certificate(databaseFolder(), { cert, key });
  const answers = laterAnswers();
  const secure = createSecureServer({ key: made.key, cert: made.cert }, answers.answer);
  const plain = createServer(toHttps);
  const door = createDoor(socket => lead(socket, secure, plain));
  await listen(door, port, process.env.ROAN_HOST ?? '::');
  const [address = 'localhost', ...others] = networkAddresses();
  const href = `https://${address}:${port}`;
  process.env.ROAN_NETWORK_HREF = href;
  // The framework asks itself now and then, and knows no root of ours: for that there is a door on this machine alone.
  const inner = createServer(answers.answer);
  await new Promise(resolve => inner.listen(0, '127.0.0.1', resolve));
  process.env.__NEXT_PRIVATE_ORIGIN = `http://127.0.0.1:${inner.address().port}`;
  askForSetup('0.0.0.0');
  await answers.begin({ hostname: 'localhost', port });
  const opened = await fetch(`${process.env.__NEXT_PRIVATE_ORIGIN}/sign-in`, { redirect: 'manual' });
  console.log(`${what} is at ${href}${others.length > 0 ? ` (also at ${others.join(', ')})` : ''}`);
  console.log(await QRCode.toString(href, { type: 'terminal', small: true }));
  if (made.fingerprint) {
    console.log(`A device that warns: open ${href}/trust on it. The root's fingerprint is`);
    console.log(made.fingerprint);
  }
  await sayCode(opened);
  stopCleanly(door);
}

const FLAGS = { '--network': 'network', '--cert': 'cert', '--key': 'key' };

function networkArguments(args) {
  const asked = { network: false, cert: null, key: null };
  for (let at = 0; at < args.length; at += 1) {
    const name = FLAGS[args[at]];
    if (!name) giveUp(`“${args[at]}” is nothing that the start knows: it takes --network, --cert FILE and --key FILE.`);
    if (name === 'network') asked.network = true;
    else asked[name] = args[(at += 1)] ?? giveUp(`After ${args[at - 1]} comes a file.`);
  }
  if ((asked.cert || asked.key) && !asked.network) giveUp('A certificate is for --network: name that too.');
  return asked;
}

/** Answers that say "starting" until the framework has begun. */
function laterAnswers() {
  let handle = null;
  let pages = null;
  let statics = null;
  const answer = (request, response) => {
    if (!canBeRead(request.url))
      return void refuse(response, 404, 'There is nothing at this address: it cannot be read.');
    mindHeaders(request);
    logAnswers(request, response);
    if (handle) return void answerOne(request, response);
    response.setHeader('retry-after', '1');
    refuse(response, 503, 'Roan is starting: try again in a moment.');
  };
  const answerOne = (request, response) => {
    if (isTap(request)) return answerTap(request, response);
    const here = () => handle(request, response);
    if (statics(request, response, here)) return;
    return pages.answer(request, response, here) || here();
  };
  const begin = async ({ hostname, port }) => {
    handle = await beginFramework({ hostname, port });
    statics = staticsFrom();
    pages = pagesBeside({ hostname, port });
  };
  return { answer, begin };
}

/** The first byte of TLS; what begins otherwise is plain. */
const TLS = 22;

function lead(socket, secure, plain) {
  socket.on('error', () => socket.destroy());
  socket.once('data', first => {
    socket.pause();
    socket.unshift(first);
    (first[0] === TLS ? secure : plain).emit('connection', socket);
    process.nextTick(() => socket.resume());
  });
}

function toHttps(request, response) {
  const host = request.headers.host ?? '';
  if (!/^[\w.:[\]-]+$/.test(host)) return void refuse(response, 400, 'This request names no host.');
  response.writeHead(308, { location: `https://${host}${request.url}`, connection: 'close' }).end();
}

/** Where the database lies, and all that belongs to it. */
function databaseFolder() {
  const url = process.env.ROAN_DATABASE_URL ?? 'file:./data/roan.db';
  return url.startsWith('file:') ? path.dirname(path.resolve(url.slice('file:'.length))) : path.resolve('data');
}

/** From elsewhere nobody may take a new Roan for themselves: the first passphrase wants a code that only this start tells. */
function askForSetup(hostname) {
  const isHere = ['127.0.0.1', 'localhost', '::1'].includes(hostname) && process.env.ROAN_TRUST_PROXY !== '1';
  if (!isHere) process.env.ROAN_SETUP_CODE ??= randomBytes(5).toString('hex');
}

async function sayCode(opened) {
  const page = process.env.ROAN_SETUP_CODE && opened.status === 200 ? await opened.text() : '';
  if (!page.includes('The first passphrase')) return;
  console.log(
    `Nobody has a passphrase yet. Open Roan, and set the first one with the code ${process.env.ROAN_SETUP_CODE}`,
  );
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
      server.closeIdleConnections?.();
      setTimeout(() => process.exit(0), 2000).unref();
    });
}
