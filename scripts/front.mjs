/**
 * The server: the built application behind two doors of one process. The desk's door listens on
 * this machine alone; the network's is HTTPS for tablets that were let in. What is malformed, too
 * much or too large ends here; who may ask for what is decided in proxy.ts, for every request.
 */
import { EventEmitter } from 'node:events';
import http from 'node:http';
import https from 'node:https';
import compression from 'compression';
import { RateLimiterMemory } from 'rate-limiter-flexible';
import { shareAnswers } from './sharing.mjs';

const doorRule = {
  /** Before a device is let in: requests of one address, and of all, in so many seconds. */
  perAddress: 240,
  perDoor: 600,
  seconds: 10,
  /** And at the same time. */
  atOnce: 24,
  /** Bytes of a body. */
  strangerBody: 4096,
  headersMs: 10_000,
  requestMs: 120_000,
  connections: 256,
  connectionsEach: 48,
};

const hostShape = /^(?:\[[0-9a-f:.]+\]|[a-z0-9](?:[a-z0-9.-]*[a-z0-9])?)(?::(\d{1,5}))?$/i;

/** A Host header that names a server, with a port that can be one. */
function isHost(host) {
  const found = hostShape.exec(host ?? '');
  return found !== null && Number(found[1] ?? 1) >= 1 && Number(found[1] ?? 1) <= 65_535;
}

/**
 * Marks of ours, of the framework's inside, and of a proxy there is none of; and ranges, which
 * nothing here is long enough for and which the framework falls over when they are wrong.
 */
const notFromOutside =
  /^(?:x-levitar|x-middleware|x-forwarded|x-nextjs|x-invoke|x-matched|forwarded$|range$|if-range$)/;

function end(response, status, words, headers = {}) {
  if (response.headersSent) response.destroy();
  else {
    response.writeHead(status, {
      'Content-Type': 'text/plain; charset=utf-8',
      'Cache-Control': 'no-store',
      Connection: 'close',
      ...headers,
    });
    response.end(words);
  }
}

/** Where in the pages the browser stands: the framework takes it for well-formed. */
const treeHeader = 'next-router-state-tree';

/** Why a request is not even looked at; null: it is. */
function malformed(request) {
  if (!isHost(request.headers.host)) return [400, 'This is no name of a server.'];
  if (!request.url?.startsWith('/')) return [400, 'This is no address of this server.'];
  try {
    decodeURIComponent(request.url);
  } catch {
    return [400, 'This is no address of this server.'];
  }
  const tree = request.headers[treeHeader];
  try {
    if (tree !== undefined && !Array.isArray(JSON.parse(decodeURIComponent(tree)))) throw tree;
  } catch {
    return [400, 'This request cannot be read.'];
  }
  return null;
}

const cookieOf = (request) =>
  /(?:^|;\s*)levitar-device=([\w-]{20,100})(?:;|$)/.exec(request.headers.cookie ?? '')?.[1];

/** Counts what comes from those who were not let in. */
function strangers(isLetIn, { perAddress, perDoor }) {
  const options = { duration: doorRule.seconds };
  const each = new RateLimiterMemory({ ...options, points: perAddress });
  const all = new RateLimiterMemory({ ...options, points: perDoor });
  let open = 0;
  return async (request, response) => {
    if (isLetIn(cookieOf(request))) return true;
    if (open >= doorRule.atOnce) {
      end(response, 503, 'Too many at once. Try again in a moment.', { 'Retry-After': '2' });
      return false;
    }
    open += 1;
    response.once('close', () => (open -= 1));
    try {
      await each.consume(request.socket.remoteAddress ?? '');
      await all.consume('door');
    } catch {
      const wait = String(doorRule.seconds);
      end(response, 429, 'Too many requests. Try again in a moment.', { 'Retry-After': wait });
      return false;
    }
    const length = Number(request.headers['content-length'] ?? 0);
    // Of unknown length: nobody has to, before being let in.
    if (length > doorRule.strangerBody || request.headers['transfer-encoding'] !== undefined) {
      end(response, 413, 'This is too large.');
      return false;
    }
    return true;
  };
}

function harden(server) {
  server.headersTimeout = doorRule.headersMs;
  server.requestTimeout = doorRule.requestMs;
  server.keepAliveTimeout = 15_000;
  server.maxHeadersCount = 100;
  server.maxConnections = doorRule.connections;
  // There is nothing here to upgrade to, and nothing to connect through.
  for (const event of ['upgrade', 'connect']) {
    server.on(event, (_request, socket) => {
      socket.on('error', () => undefined);
      socket.end('HTTP/1.1 426 Upgrade Required\r\nConnection: close\r\nContent-Length: 0\r\n\r\n');
      socket.destroySoon?.();
    });
  }
  server.on('clientError', (_error, socket) => {
    if (socket.writable) socket.end('HTTP/1.1 400 Bad Request\r\nConnection: close\r\n\r\n');
    socket.destroySoon?.();
  });
}

function limitEach(server) {
  const counts = new Map();
  server.on('connection', (socket) => {
    const from = socket.remoteAddress ?? '';
    const count = (counts.get(from) ?? 0) + 1;
    counts.set(from, count);
    socket.once('close', () => {
      const left = (counts.get(from) ?? 1) - 1;
      if (left <= 0) counts.delete(from);
      else counts.set(from, left);
    });
    if (count > doorRule.connectionsEach) socket.destroy();
  });
}

/**
 * @param mark what the guard knows the network door by; undefined for the desk's door
 * @param names hosts the network door answers to
 */
function answerWith(handle, { mark, names, isLetIn, limits = doorRule }) {
  const isWelcome = mark === undefined ? null : strangers(isLetIn, limits);
  return (request, response) => {
    const work = async () => {
      request.on('error', () => undefined);
      response.on('error', () => undefined);
      const wrong = malformed(request);
      if (wrong !== null) return end(response, ...wrong);
      for (const name of Object.keys(request.headers)) {
        if (notFromOutside.test(name)) delete request.headers[name];
      }
      if (mark !== undefined) {
        const name = request.headers.host.replace(/:\d+$/, '').toLowerCase();
        if (!names.has(name))
          return end(response, 421, 'This server does not answer to that name.');
        if (!(await isWelcome(request, response))) return undefined;
        request.headers['x-levitar-door'] = mark;
        request.headers['x-forwarded-proto'] = 'https';
      }
      return handle(request, response);
    };
    work().catch((error) => {
      console.error('A request failed:', error instanceof Error ? error.name : 'unknown');
      end(response, 500, 'That did not work.');
    });
  };
}

const listen = (server, port, host) =>
  new Promise((resolve, reject) => {
    server.once('error', reject);
    server.listen(port, host, () => {
      server.off('error', reject);
      server.on('error', () => undefined);
      resolve(server);
    });
  });

/** Weights of a model and sealed files are noise to a packer: half a second of work for a twentieth. */
const isWorthPacking = (request, response) =>
  !String(response.getHeader('Content-Type')).startsWith('application/octet-stream') &&
  compression.filter(request, response);

/**
 * Opens both doors.
 *
 * @param door certificate, secret, port, host and names of the network door, limits where they are
 *   not the usual ones; null: there is none
 * @returns a function that closes them: no new requests, running ones get a moment to end
 */
export async function openFront({ root, port, host, door }) {
  const { default: next } = await import('next');
  // The framework would hang its own ears on a server it is given: this one hears nothing.
  const app = next({
    dev: false,
    dir: root,
    hostname: 'localhost',
    port,
    httpServer: new EventEmitter(),
  });
  await app.prepare();
  const pages = shareAnswers(
    app.getRequestHandler(),
    (request) => globalThis.levitarFront?.stateOf(request) ?? null,
  );
  // Packed after it was shared: what is kept is the page itself.
  const pack = compression({ filter: isWorthPacking });
  const handle = (request, response) =>
    new Promise((resolve, reject) => {
      pack(request, response, () =>
        Promise.resolve(pages(request, response)).then(resolve, reject),
      );
    });
  const isLetIn = (token) =>
    token !== undefined && globalThis.levitarFront?.isLetIn(token) === true;
  // At the desk the browser sits beside the server: packing would only be work for both.
  const desk = http.createServer(answerWith(pages, {}));
  harden(desk);
  const servers = [await listen(desk, port, host)];
  if (door !== null) {
    const { certificate, secret, names, limits } = door;
    const network = https.createServer(
      { cert: certificate.cert, key: certificate.key, handshakeTimeout: doorRule.headersMs },
      answerWith(handle, { mark: secret, names, isLetIn, limits }),
    );
    harden(network);
    limitEach(network);
    network.on('tlsClientError', (_error, socket) => socket.destroy());
    servers.push(await listen(network, door.port, door.host));
  }
  return async (patienceMs = 3000) => {
    const closed = servers.map(
      (server) => new Promise((resolve) => server.close(() => resolve(undefined))),
    );
    for (const server of servers) server.closeIdleConnections();
    const patience = new Promise((resolve) => setTimeout(resolve, patienceMs));
    await Promise.race([Promise.all(closed), patience]);
    for (const server of servers) server.closeAllConnections();
    await Promise.race([app.close(), new Promise((resolve) => setTimeout(resolve, 1000))]);
  };
}
