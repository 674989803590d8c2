import { WsClient, type WsStream } from '@libsql/hrana-client';

const idle = new WeakMap<WsClient, WsStream[]>();
/** So many are kept open over one line; a server has a limit of them. */
const MOST_IDLE = 6;
const KEPT = Symbol.for('roan.kept-streams');

/**
 * Lets the client of a libSQL server keep its streams. It opens one for each question and each transaction, and for each the server
 * opens its file and reads all tables of it, which takes several times as long as what is asked. One that is done with gives up
 * what is left open in it, and waits for the next.
 */
export function keepStreams(): void {
  const client = WsClient.prototype as WsClient & { [KEPT]?: true };
  if (client[KEPT]) return;
  client[KEPT] = true;
  const open = client.openStream;
  client.openStream = function (this: WsClient) {
    const waiting = idle.get(this) ?? [];
    for (let stream = waiting.pop(); stream; stream = waiting.pop()) if (!stream.closed) return used(this, stream);
    return used(this, open.call(this));
  };
}

/** A stream for one use: closed by its user, however often, it goes back to the others once. */
function used(client: WsClient, stream: WsStream): WsStream {
  let isOver = false;
  let isGivenBack = false;
  let isSingle = true;
  const giveBack = () => {
    isOver = true;
    if (!isGivenBack) void (isSingle ? keep(client, stream) : afterTransaction(client, stream));
    isGivenBack = true;
  };
  // Its answer is still to come: who asked closes it once more then.
  const closeSoon = () => void (isOver = true);
  return new Proxy(stream, {
    get(target, key) {
      if (key === 'close') return giveBack;
      if (key === 'closeGracefully') return closeSoon;
      if (key === 'closed') return isOver || target.closed;
      const value: unknown = Reflect.get(target, key, target);
      // A single question leaves no transaction behind.
      if (key !== 'query' && key !== 'intMode') isSingle = false;
      return typeof value === 'function' ? (value.bind(target) as unknown) : value;
    },
    set: (target, key, value) => Reflect.set(target, key, value, target),
  });
}

/** Whatever is left open in it is given up; that nothing is says an error. Anything else it says is the end of it. */
async function afterTransaction(client: WsClient, stream: WsStream): Promise<void> {
  const isFree = await stream.run('ROLLBACK').then(
    () => true,
    (error: unknown) => /no transaction is active/i.test(String(error)),
  );
  if (isFree) keep(client, stream);
  else stream.close();
}

function keep(client: WsClient, stream: WsStream): void {
  const waiting = idle.get(client) ?? [];
  idle.set(client, waiting);
  if (!client.closed && !stream.closed && waiting.length < MOST_IDLE) waiting.push(stream);
  else stream.close();
}
