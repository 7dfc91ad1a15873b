import { createServer, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { dialHttp, openScale, readDevice, readReading } from './scale';
import { isPossibleScale, isStudioAddress, pinScale } from './scaleAddress';

let server: Server | undefined;
afterEach(() => {
  server?.closeAllConnections();
  server?.close();
  server = undefined;
});

/** A device that answers as given: on this machine, and reached as if it stood in the studio. */
async function device(answer: (response: ServerResponse) => void): Promise<string> {
  server = createServer((_, response) => answer(response));
  await new Promise<void>((resolve) => server!.listen(0, '127.0.0.1', () => resolve()));
  return `http://scale.studio:${(server.address() as AddressInfo).port}/stream`;
}

async function listen(address: string | null) {
  const events: (readonly [string, object])[] = [];
  const send = (event: string, data: object) => void events.push([event, data]);
  await readDevice(send, AbortSignal.timeout(3000), address, {
    resolve: async () => ['192.168.77.40'],
    dial: (url, _address, signal) => dialHttp(url, '127.0.0.1', signal),
  });
  return events;
}

const stream = (lines: readonly string[]) => (response: ServerResponse) => {
  response.writeHead(200, { 'Content-Type': 'text/event-stream' });
  for (const line of lines) response.write(`data: ${line}\n\n`);
  response.end();
};

it('takes a number or an object with kg, and nothing that no head weighs', () => {
  expect(['4.2', '{"kg":3}', '0'].map(readReading)).toEqual([4.2, 3, 0]);
  const odd = ['', 'NaN', '{"kg":"3"}', '{"pounds":3}', '9000', '-40', 'null', '{', '[3]'];
  expect(odd.map(readReading)).toEqual(odd.map(() => null));
});

it('passes on readings, counts nonsense, and says when the stream ends', async () => {
  const events = await listen(await device(stream(['4', 'hello', '{"kg":5.5}', '1e9'])));
  expect(events).toEqual([
    ['reading', { kg: 4 }],
    ['nonsense', { count: 1 }],
    ['reading', { kg: 5.5 }],
    ['nonsense', { count: 2 }],
    ['problem', { words: expect.stringMatching(/ended/) }],
  ]);
});

it('gives up on an address that sends only nonsense, refuses, redirects or is not there', async () => {
  const flood = await listen(await device(stream(Array<string>(400).fill('bla'))));
  expect(flood.at(-1)).toEqual(['problem', { words: expect.stringMatching(/not reached/) }]);
  server!.close();
  const refused = await listen(await device((response) => response.writeHead(503).end()));
  // Nothing is said about whatever stands at the other end.
  expect(refused).toEqual([
    ['problem', { words: expect.stringMatching(/^[^\d]*not reached[^\d]*$/) }],
  ]);
  server!.close();
  const away = await listen(
    await device((response) => response.writeHead(302, { location: 'http://127.0.0.1:9/' }).end()),
  );
  expect(away).toEqual([['problem', { words: expect.stringMatching(/not reached/) }]]);
  expect(await listen('http://scale.studio:9/nobody')).toHaveLength(1);
  expect(await listen(null)).toEqual([['problem', { words: expect.stringMatching(/Settings/) }]]);
});

it('plays the practice scale until whoever listens goes away', async () => {
  const controller = new AbortController();
  const asked = new URLSearchParams({ level: '8', noise: '0', drift: '0', seed: '4' });
  const reader = openScale(asked, controller.signal).getReader();
  const text = new TextDecoder();
  const got: string[] = [];
  for (let index = 0; index < 3; index += 1) got.push(text.decode((await reader.read()).value));
  controller.abort();
  await reader.cancel();
  expect(got[0]).toBe('event: reading\ndata: {"kg":0}\n\n');
  expect(got).toHaveLength(3);
});

it('passes on no more than twenty a second, and reads no line without an end', async () => {
  const many = await listen(await device(stream(Array<string>(150).fill('4'))));
  expect(many.filter(([event]) => event === 'reading').length).toBeLessThanOrEqual(40);
  server!.close();
  const endless = await listen(
    await device((response) => {
      response.writeHead(200, { 'Content-Type': 'text/event-stream' });
      response.end('data: '.padEnd(200_000, '1'));
    }),
  );
  expect(endless).toEqual([['problem', { words: expect.stringMatching(/not reached/) }]]);
});

it('lets a scale stand on the studio’s network alone, by what its name means when it is looked up', async () => {
  const closed = [
    '127.0.0.1',
    '169.254.1.1',
    '0.0.0.0',
    '8.8.8.8',
    '::1',
    'fe80::1',
    '::ffff:127.0.0.1',
    '100.64.0.1',
    'x',
  ];
  expect(closed.filter((address) => isStudioAddress(address))).toEqual([]);
  for (const address of [
    '192.168.1.40',
    '10.0.0.3',
    '172.20.1.1',
    'fd00::5',
    '::ffff:192.168.1.4',
  ]) {
    expect([address, isStudioAddress(address)]).toEqual([address, true]);
  }
  expect(isStudioAddress('192.168.1.40', new Set(['192.168.1.40']))).toBe(false);
  expect(isPossibleScale('http://192.168.1.40/stream')).toBe(true);
  for (const text of [
    'http://127.0.0.1/',
    'http://localhost:3000/',
    'http://[::1]/',
    'http://2130706433/',
    'https://192.168.1.4/',
    'http://a:b@192.168.1.4/',
    'ftp://192.168.1.4/',
  ]) {
    expect([text, isPossibleScale(text)]).toEqual([text, false]);
  }
  const url = new URL('http://scale.studio/stream');
  expect(await pinScale(url, async () => ['192.168.1.4'])).toBe('192.168.1.4');
  // One good address does not excuse another.
  expect(await pinScale(url, async () => ['192.168.1.4', '127.0.0.1'])).toBeNull();
  expect(await pinScale(url, async () => Promise.reject(new Error('gone')))).toBeNull();
});
