import { mkdtempSync, rmSync } from 'node:fs';
import os from 'node:os';
import path from 'node:path';
import { NextRequest } from 'next/server';
import { readAsker } from '@/server/network/asker';
import { proxy } from './proxy';
import { createPairing, joinDevice } from '@/server/network/devices';

const call = (method: string, headers: Record<string, string>, url = 'http://localhost:3000/') =>
  proxy(new NextRequest(url, { method, headers: { host: 'localhost:3000', ...headers } }));

const folder = mkdtempSync(path.join(os.tmpdir(), 'levitar-guard-'));
process.env.LEVITAR_DATA = folder;

describe('the guard in front of every page', () => {
  it('lets reading pass with a content policy and a nonce of its own each time', () => {
    const [a, b] = [call('GET', {}), call('GET', {})].map((response) =>
      response.headers.get('content-security-policy')!,
    );
    expect(a).toMatch(/script-src 'self' 'nonce-[\w=+/]+' 'strict-dynamic'/);
    expect(a).not.toContain("script-src 'self' 'unsafe-inline'");
    expect(a).not.toBe(b);
  });

  it.each(['localhost:3000', '127.0.0.1:3000', '[::1]:3000', 'localhost'])(
    'answers to %s',
    (host) => {
      expect(call('GET', { host }).status).toBe(200);
    },
  );

  it.each(['evil.example', 'localhost.evil.example:3000'])('does not answer to %j', (host) => {
    expect(call('GET', { host }).status).toBe(421);
  });

  it('answers to names the teacher allows', () => {
    process.env.LEVITAR_HOSTS = 'loft.local, tablet';
    expect(call('GET', { host: 'loft.local:3000' }).status).toBe(200);
    expect(call('GET', { host: 'tablet' }).status).toBe(200);
    delete process.env.LEVITAR_HOSTS;
    expect(call('GET', { host: 'tablet' }).status).toBe(421);
  });

  it.each(['POST', 'PUT', 'PATCH', 'DELETE'])('takes %s from its own pages only', (method) => {
    expect(call(method, { origin: 'http://localhost:3000' }).status).toBe(200);
    expect(call(method, { origin: 'http://localhost:4000' }).status).toBe(403);
    expect(call(method, { origin: 'https://elsewhere.example' }).status).toBe(403);
    expect(call(method, { origin: 'null' }).status).toBe(403);
    expect(call(method, {}).status).toBe(403);
  });
});

describe('the network door', () => {
  const secret = 'a-mark-of-this-start';
  let token = '';
  const door = (method: string, url: string, headers: Record<string, string> = {}) =>
    proxy(
      new NextRequest(`https://192.168.1.5:3443${url}`, {
        method,
        headers: { host: '192.168.1.5:3443', 'x-levitar-door': secret, ...headers },
      }),
    );
  const roleOf = (response: Response) =>
    readAsker(
      new Headers({
        'x-levitar-asker': response.headers.get('x-middleware-request-x-levitar-asker') ?? '',
      }),
    ).role;

  beforeAll(async () => {
    process.env.LEVITAR_DOOR_MARK = secret;
    const pairing = await createPairing('assistant');
    if (!pairing.ok) throw new Error('no code');
    const joined = joinDevice({ code: pairing.value.code, name: 'Helper' });
    if (!joined.ok) throw new Error('not joined');
    token = joined.value.token;
  });
  afterAll(() => {
    delete process.env.LEVITAR_DOOR_MARK;
    const holder = globalThis as { levitarDatabase?: { close: () => void } | undefined };
    holder.levitarDatabase?.close();
    holder.levitarDatabase = undefined;
    rmSync(folder, { recursive: true, force: true });
  });

  it('sends who was not let in to the pairing page, and answers nothing else', () => {
    const page = door('GET', '/people', { accept: 'text/html' });
    expect(page.status).toBe(307);
    expect(page.headers.get('location')).toBe('https://192.168.1.5:3443/pair');
    expect(door('GET', '/settings/studio').status).toBe(401);
    expect(door('GET', '/pair').status).toBe(200);
  });

  it('lets an assistant’s tablet into the running class alone, and marks it', () => {
    const cookie = `levitar-device=${token}`;
    const floor = door('GET', '/floor', { cookie });
    expect(floor.status).toBe(200);
    expect(roleOf(floor)).toBe('assistant');
    expect(door('GET', '/people', { cookie }).status).toBe(403);
    const origin = 'https://192.168.1.5:3443';
    expect(door('POST', '/floor', { cookie, origin, 'next-action': 'abc' }).status).toBe(403);
    const form = { cookie, origin, 'content-type': 'multipart/form-data; boundary=x' };
    expect(door('POST', '/floor', form).status).toBe(403);
    expect(door('GET', '/floor', { cookie: 'levitar-device=guess' }).status).toBe(401);
  });

  it('believes no role that somebody sends, and no mark that is not its own', () => {
    const cookie = `levitar-device=${token}`;
    expect(roleOf(door('GET', '/floor', { cookie, 'x-levitar-role': 'teacher' }))).toBe(
      'assistant',
    );
    expect(door('GET', '/', { 'x-levitar-door': 'guess' }).status).toBe(421);
  });
});
