import { createServer, type Server, type ServerResponse } from 'node:http';
import type { AddressInfo } from 'node:net';
import { openScale, readDevice, readReading } from './scale';

let server: Server | undefined;
afterEach(() => {
  server?.closeAllConnections();
  server?.close();
  server = undefined;
});

/** A device on this machine that answers as given. */
async function device(answer: (response: ServerResponse) => void): Promise<string> {
  server = createServer((_, response) => answer(response));
  await new Promise<void>((resolve) => server!.listen(0, '127.0.0.1', () => resolve()));
  return `http://127.0.0.1:${(server.address() as AddressInfo).port}/stream`;
}

async function listen(address: string | null) {
  const events: (readonly [string, object])[] = [];
  await readDevice((event, data) => events.push([event, data]), AbortSignal.timeout(3000), address);
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
  expect(flood.at(-1)).toEqual(['problem', { words: expect.stringMatching(/no scale/) }]);
  server!.close();
  const refused = await listen(await device((response) => response.writeHead(503).end()));
  expect(refused).toEqual([['problem', { words: expect.stringMatching(/503/) }]]);
  server!.close();
  const away = await listen(
    await device((response) => response.writeHead(302, { location: 'http://127.0.0.1:9/' }).end()),
  );
  expect(away).toEqual([['problem', { words: expect.stringMatching(/not reached/) }]]);
  expect(await listen('http://127.0.0.1:9/nobody')).toHaveLength(1);
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
