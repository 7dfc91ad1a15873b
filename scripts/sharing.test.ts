import http from 'node:http';
import type { AddressInfo } from 'node:net';
import type { AnswerState } from '../server/network/answerState';
import { shareAnswers, shareRule } from './sharing.mjs';

let server: http.Server | undefined;
afterEach(
  () =>
    new Promise<void>((resolve) => {
      server?.closeAllConnections();
      if (server === undefined) resolve();
      else server.close(() => resolve());
    }),
);

interface Drawn {
  readonly type?: string;
  readonly status?: number;
  readonly cookie?: string;
  readonly body?: string;
}

/** A server whose pages count how often they were drawn; `hold` keeps them until it is let go. */
async function serve(
  options: { drawn?: Drawn; rule?: Partial<typeof shareRule>; isHeld?: boolean } = {},
) {
  const seen = {
    drawn: 0,
    state: { asker: 'desk', studio: 'first' } as AnswerState | null,
    letGo: () => undefined as void,
    closed: 0,
    asked: 0,
    /** Cookies of those who were put out. */
    put: new Set<string>(),
  };
  const held = options.isHeld
    ? new Promise<void>((resolve) => (seen.letGo = resolve))
    : Promise.resolve();
  const handle = async (request: http.IncomingMessage, response: http.ServerResponse) => {
    seen.drawn += 1;
    const serial = seen.drawn;
    response.once('close', () => (seen.closed += 1));
    const {
      type = 'text/html; charset=utf-8',
      status = 200,
      cookie,
      body = '',
    } = options.drawn ?? {};
    await held;
    response.statusCode = status;
    response.setHeader('Content-Type', type);
    response.setHeader('X-Serial', String(serial));
    if (cookie !== undefined) response.setHeader('Set-Cookie', cookie);
    response.write(`${request.method} `);
    response.end(`${request.url} ${serial}${body}`);
  };
  const shared = shareAnswers(
    handle,
    (request) => (seen.put.has(request.headers.cookie ?? '') ? null : seen.state),
    { ...shareRule, ...options.rule },
  );
  server = http.createServer((request, response) => {
    seen.asked += 1;
    return shared(request, response);
  });
  await new Promise<void>((resolve) => server!.listen(0, '127.0.0.1', resolve));
  const base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
  const read = async (path: string, init?: RequestInit) => {
    const answer = await fetch(base + path, init);
    return {
      status: answer.status,
      serial: answer.headers.get('x-serial'),
      text: await answer.text(),
    };
  };
  return { seen, read };
}

const until = (is: () => boolean) =>
  new Promise<void>((resolve) => {
    const look = () => (is() ? resolve() : setImmediate(look));
    look();
  });

it('draws a page once for those who ask at the same time, and soon after', async () => {
  const { seen, read } = await serve({ isHeld: true });
  const asked = Promise.all([read('/people'), read('/people'), read('/people')]);
  seen.letGo();
  const texts = (await asked).map(({ text }) => text);
  expect(new Set(texts)).toEqual(new Set([texts[0]]));
  const again = await read('/people');
  expect(again).toMatchObject({ status: 200, text: texts[0] });
  expect(again.serial).not.toBeNull();
});

it('draws anew when anything was written, when somebody else asks, and for another address', async () => {
  const { seen, read } = await serve();
  expect((await read('/people')).text).toBe('GET /people 1');
  expect((await read('/people')).text).toBe('GET /people 1');
  expect((await read('/people?q=1')).text).toBe('GET /people?q=1 2');
  seen.state = { asker: 'desk', studio: 'second' };
  expect((await read('/people')).text).toBe('GET /people 3');
  expect((await read('/people', { headers: { rsc: '1' } })).text).toBe('GET /people 4');
  seen.state = { asker: 'tablet', studio: 'second' };
  expect((await read('/people')).text).toBe('GET /people 5');
  // Whoever is the same to a page gets the same page, whatever their cookie.
  expect((await read('/people', { headers: { cookie: 'a=b' } })).text).toBe('GET /people 5');
});

it('ends what is kept with every change that is sent, whatever it was', async () => {
  const { read } = await serve();
  expect((await read('/settings')).text).toBe('GET /settings 1');
  expect((await read('/settings', { method: 'POST' })).text).toBe('POST /settings 2');
  expect((await read('/settings')).text).toBe('GET /settings 3');
});

it.each<[string, Drawn]>([
  ['is no page', { type: 'application/json' }],
  ['did not work', { status: 404 }],
  ['sets a cookie', { cookie: 'a=b' }],
  ['is very long', { body: 'x'.repeat(2000) }],
])('shares nothing that %s', async (_why, drawn) => {
  const { read } = await serve({ drawn, rule: { mostBytes: 1000 } });
  expect((await read('/people')).serial).toBe('1');
  expect((await read('/people')).serial).toBe('2');
});

it('asks for itself where nobody may share, and for files', async () => {
  const { seen, read } = await serve();
  expect((await read('/app.js')).serial).toBe('1');
  expect((await read('/app.js')).serial).toBe('2');
  seen.state = null;
  expect((await read('/people')).serial).toBe('3');
  expect((await read('/people')).serial).toBe('4');
});

it('leaves those who wait to themselves when the first one goes away', async () => {
  const { seen, read } = await serve({ isHeld: true });
  const leaver = new AbortController();
  const first = read('/people', { signal: leaver.signal }).catch(() => 'gone');
  await until(() => seen.drawn === 1);
  const second = read('/people');
  leaver.abort();
  expect(await first).toBe('gone');
  await until(() => seen.closed === 1);
  seen.letGo();
  expect((await second).text).toBe('GET /people 2');
});

it('gives every page a nonce of its own, in its policy and in its text alike', async () => {
  const given = 'b'.repeat(48);
  const handle = (_request: http.IncomingMessage, response: http.ServerResponse) => {
    response.setHeader('Content-Type', 'text/html');
    response.setHeader('Content-Security-Policy', `script-src 'nonce-${given}'; img-src 'self'`);
    response.end(`<script nonce="${given}">é</script>`);
  };
  server = http.createServer(shareAnswers(handle, () => ({ asker: 'desk', studio: 'same' })));
  await new Promise<void>((resolve) => server!.listen(0, '127.0.0.1', resolve));
  const url = `http://127.0.0.1:${(server.address() as AddressInfo).port}/people`;
  const nonces: string[] = [];
  for (let time = 0; time < 3; time += 1) {
    const answer = await fetch(url);
    const [, nonce] = /'nonce-([^']{48})'; img-src/.exec(
      answer.headers.get('content-security-policy')!,
    )!;
    expect(await answer.text()).toBe(`<script nonce="${nonce}">é</script>`);
    nonces.push(nonce!);
  }
  expect(new Set(nonces).size).toBe(3);
});

it('lets those who wait for a turn join, whatever is written meanwhile, and nobody before their asking', async () => {
  const { seen, read } = await serve({ isHeld: true, rule: { atOnce: 1 } });
  const first = read('/people');
  await until(() => seen.drawn === 1);
  // Written after the first page was begun: whoever asks now must not get that one.
  seen.state = { asker: 'desk', studio: 'second' };
  const second = read('/people');
  const third = read('/people');
  const other = read('/ladders');
  await until(() => seen.asked === 4);
  seen.state = { asker: 'desk', studio: 'third' };
  const fourth = read('/people');
  await until(() => seen.asked === 5);
  expect(seen.drawn).toBe(1);
  seen.letGo();
  expect((await first).text).toBe('GET /people 1');
  const later = await Promise.all([second, third, fourth]);
  expect(later.map(({ text }) => text)).toEqual(Array(3).fill('GET /people 2'));
  expect((await other).text).toBe('GET /ladders 3');
  // In the state in which it was drawn it is given again.
  expect((await read('/people')).text).toBe('GET /people 2');
});

it('leaves everybody to themselves who may see something else when their turn comes', async () => {
  const { seen, read } = await serve({ isHeld: true, rule: { atOnce: 1 } });
  const first = read('/ladders');
  await until(() => seen.drawn === 1);
  const waiting = [read('/people'), read('/people')];
  await until(() => seen.asked === 3);
  seen.state = null;
  seen.letGo();
  await first;
  const serials = (await Promise.all(waiting)).map(({ serial }) => serial);
  expect(new Set(serials)).toEqual(new Set(['2', '3']));
});

it('goes on with others when a page takes too long', async () => {
  const { seen, read } = await serve({ isHeld: true, rule: { atOnce: 1, turnMs: 5 } });
  const slow = read('/people');
  const next = read('/ladders');
  await until(() => seen.drawn === 2);
  seen.letGo();
  expect((await slow).status).toBe(200);
  expect((await next).status).toBe(200);
});

it('keeps no more pages than it may, the newest of them', async () => {
  const { read } = await serve({ rule: { pages: 2 } });
  for (const path of ['/a', '/b', '/c']) await read(path);
  expect((await read('/c')).serial).toBe('3');
  expect((await read('/b')).serial).toBe('2');
  expect((await read('/a')).serial).toBe('4');
});

it('gives nothing of others to somebody who was put out while they waited', async () => {
  const { seen, read } = await serve({ isHeld: true, rule: { atOnce: 1 } });
  const first = read('/ladders');
  await until(() => seen.drawn === 1);
  const stays = read('/people', { headers: { cookie: 'stays' } });
  await until(() => seen.asked === 2);
  const put = read('/people', { headers: { cookie: 'put' } });
  await until(() => seen.asked === 3);
  seen.put.add('put');
  seen.letGo();
  await first;
  // Each by a request of its own: the guard behind answers the second one as it must.
  expect(new Set([(await stays).serial, (await put).serial])).toEqual(new Set(['2', '3']));
});
