/**
 * Pages that several devices ask for at about the same time are drawn once. What one asker gets is
 * never older than their own asking, and never another's to see: they join others of their role while a page waits for its turn to be drawn,
 * and it is given again only as long as nothing at all was written in the studio, for a moment.
 */
import { randomUUID } from 'node:crypto';

export const shareRule = {
  /** How long a page may be given again while nothing changes. */
  keepMs: 2000,
  pages: 64,
  mostBytes: 2_000_000,
  /** Drawn at the same time: there is one processor for it, and the others join what waits. */
  atOnce: 2,
  /** A page that takes so long holds up no others. */
  turnMs: 4000,
};

/**
 * What the framework answers by; two requests that differ in one of them are two. Cookies are not
 * among them: who asks is in the state, and no page sees more of it (`PageAsker`).
 */
const asked = [
  'host',
  'accept',
  'rsc',
  'next-router-state-tree',
  'next-router-prefetch',
  'next-router-segment-prefetch',
  'next-url',
  'user-agent',
  'if-none-match',
];

/** Of this connection, or of this moment: written anew for everybody. */
const ownHeaders = new Set([
  'connection',
  'content-encoding',
  'content-length',
  'date',
  'keep-alive',
  'transfer-encoding',
]);

/** Whether a request asks for a page, and not for a file or a change. */
const asksForPage = ({ method, url, headers }) =>
  method === 'GET' &&
  !/\.[^/]*$/.test(url.split('?')[0]) &&
  (headers.rsc !== undefined || /text\/html|\*\/\*/.test(headers.accept ?? ''));

const isPage = (type) => /^text\/(?:html|x-component)(?:;|$)/.test(String(type ?? ''));

/** A page, and nothing that is for one browser alone. */
function isShareable(response) {
  const headers = response.getHeaders();
  return (
    response.statusCode === 200 &&
    isPage(headers['content-type']) &&
    headers['set-cookie'] === undefined
  );
}

const shareable = (headers) =>
  Object.fromEntries(Object.entries(headers).filter(([name]) => !ownHeaders.has(name)));

const textEncoding = (encoding) => (typeof encoding === 'string' ? encoding : 'utf8');

/**
 * Listens to what is answered.
 *
 * @returns the answer, once it is whole; null as soon as it turns out to be nobody else's
 */
function overhear(response, mostBytes) {
  return new Promise((resolve) => {
    const chunks = [];
    let bytes = 0;
    let headers = null;
    let isOver = false;
    const settle = (answer) => {
      isOver = true;
      chunks.length = 0;
      resolve(answer);
    };
    const note = (chunk, encoding) => {
      if (isOver || chunk === undefined || chunk === null || typeof chunk === 'function') return;
      const piece = typeof chunk === 'string' ? Buffer.from(chunk, textEncoding(encoding)) : chunk;
      bytes += piece.length;
      headers ??= shareable(response.getHeaders());
      if (!isShareable(response) || bytes > mostBytes) settle(null);
      else chunks.push(Buffer.from(piece));
    };
    const write = response.write.bind(response);
    const end = response.end.bind(response);
    response.write = (chunk, encoding, done) => {
      note(chunk, encoding);
      return write(chunk, encoding, done);
    };
    response.end = (chunk, encoding, done) => {
      note(chunk, encoding);
      if (!isOver) {
        settle(headers === null ? null : { headers, body: Buffer.concat(chunks).toString('utf8') });
      }
      return end(chunk, encoding, done);
    };
    response.once('close', () => {
      if (!isOver) settle(null);
    });
  });
}

const policyHeader = 'content-security-policy';

/** The same page under a nonce that was in no answer before, as the guard gives each one. */
function withOwnNonce({ headers, body }) {
  const policy = headers[policyHeader];
  const nonce = /'nonce-([^']+)'/.exec(String(policy ?? ''))?.[1];
  if (nonce === undefined) return { headers, body };
  // As long as the one before it: what is framed by its length stays so.
  const own = Buffer.from(randomUUID()).toString('base64').slice(0, nonce.length);
  return {
    headers: { ...headers, [policyHeader]: policy.replaceAll(nonce, own) },
    body: body.replaceAll(nonce, own),
  };
}

/**
 * @param handle answers a request
 * @param stateOf who asks, and what the studio's state is; null: the answer is theirs alone
 * @returns a handler that answers the same
 */
export function shareAnswers(handle, stateOf, rule = shareRule) {
  /** Promises of answers, by asker, address and state. */
  const kept = new Map();
  /** Those who wait for the same page, by asker and address; the line they stand in. */
  const waiting = new Map();
  let line = [];
  let atWork = 0;
  let changes = 0;

  const keyOf = (request, state) =>
    JSON.stringify([request.url, state.asker, asked.map((name) => request.headers[name] ?? null)]);
  const fullKeyOf = (key, state) => JSON.stringify([key, state.studio, changes]);

  /** Gives what somebody else's request was answered; draws it anew where that is not to be given. */
  async function follow(answer, { request, response }) {
    const found = await answer;
    if (found === null) return handle(request, response);
    const { headers, body } = withOwnNonce(found);
    for (const [name, value] of Object.entries(headers)) response.setHeader(name, value);
    response.end(body);
    return undefined;
  }

  function keep(fullKey, answer) {
    const [oldest] = kept.keys();
    if (kept.size >= rule.pages) kept.delete(oldest);
    kept.set(fullKey, answer);
    const forget = () => {
      if (kept.get(fullKey) === answer) kept.delete(fullKey);
    };
    setTimeout(forget, rule.keepMs).unref();
    void answer.then((found) => found === null && forget());
  }

  /** The first of a group who is still there is answered, the others get the same. */
  function draw({ key, members }) {
    const there = members.filter(({ response }) => !response.destroyed);
    for (const gone of members) if (!there.includes(gone)) gone.resolve();
    const [first, ...others] = there;
    if (first === undefined) return Promise.resolve();
    const state = stateOf(first.request);
    const answer = overhear(first.response, rule.mostBytes);
    // What somebody may see may have changed while they waited: then they ask for themselves.
    const isStill = ({ request }, now) => now !== null && keyOf(request, now) === key;
    const isSame = isStill(first, state);
    if (isSame) keep(fullKeyOf(key, state), answer);
    // Within a promise: what fails at once fails for this one alone.
    new Promise((done) => done(handle(first.request, first.response))).then(
      first.resolve,
      first.reject,
    );
    for (const other of others) {
      const given = isSame && isStill(other, stateOf(other.request)) ? answer : null;
      follow(given, other).then(other.resolve, other.reject);
    }
    return answer;
  }

  function callNext() {
    while (atWork < rule.atOnce && line.length > 0) {
      const [group, ...rest] = line;
      line = rest;
      waiting.delete(group.key);
      atWork += 1;
      let isOver = false;
      const end = () => {
        if (isOver) return;
        isOver = true;
        clearTimeout(timer);
        atWork -= 1;
        callNext();
      };
      const timer = setTimeout(end, rule.turnMs);
      timer.unref();
      void draw(group).then(end);
    }
  }

  return (request, response) => {
    if (request.method !== 'GET' && request.method !== 'HEAD') {
      changes += 1;
      response.once('close', () => (changes += 1));
      return handle(request, response);
    }
    const state = asksForPage(request) ? stateOf(request) : null;
    if (state === null) return handle(request, response);
    const key = keyOf(request, state);
    const answer = kept.get(fullKeyOf(key, state));
    if (answer !== undefined) return follow(answer, { request, response });
    return new Promise((resolve, reject) => {
      const member = { request, response, resolve, reject };
      const group = waiting.get(key);
      if (group !== undefined) group.members.push(member);
      else {
        const made = { key, members: [member] };
        waiting.set(key, made);
        line.push(made);
        callNext();
      }
    });
  };
}
