import { NextRequest } from 'next/server';
import { proxy } from './proxy';

const call = (method: string, headers: Record<string, string>, url = 'http://localhost:3000/') =>
  proxy(new NextRequest(url, { method, headers: { host: 'localhost:3000', ...headers } }));

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

  it.each(['evil.example', 'localhost.evil.example:3000', ''])('does not answer to %j', (host) => {
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
