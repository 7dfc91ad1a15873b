import { NextResponse, type NextRequest } from 'next/server';
import { findDeviceBy } from './server/devices';
import { deviceCookie, gateHeader, isFromNetwork, ruleOn } from './server/gate';
import { roleHeader } from './server/roles';

const ownHosts = ['localhost', '127.0.0.1', '[::1]'];

/** Names this server answers to; others are refused, so that no foreign name can be pointed at it. */
function allowedHosts(): readonly string[] {
  const more = process.env.LEVITAR_HOSTS?.split(',').map((host) => host.trim()) ?? [];
  return [...ownHosts, ...more];
}

function contentPolicy(nonce: string): string {
  // The development server compiles in the browser and needs eval; the built one does not.
  const evaluate = process.env.NODE_ENV === 'development' ? " 'unsafe-eval'" : '';
  return [
    "default-src 'self'",
    `script-src 'self' 'nonce-${nonce}' 'strict-dynamic'${evaluate}`,
    // The component library sets inline styles.
    "style-src 'self' 'unsafe-inline'",
    "img-src 'self' data: blob:",
    "font-src 'self'",
    "connect-src 'self'",
    "worker-src 'self'",
    "manifest-src 'self'",
    "object-src 'none'",
    "base-uri 'none'",
    "form-action 'self'",
    "frame-ancestors 'none'",
  ].join('; ');
}

const isReading = (method: string) => method === 'GET' || method === 'HEAD';

function isSameOrigin(request: NextRequest): boolean {
  const origin = request.headers.get('origin');
  if (origin === null) return false;
  try {
    return new URL(origin).host === request.headers.get('host');
  } catch {
    return false;
  }
}

/** Guards every request: known host, same origin for every change, a content policy with a nonce. */
export function proxy(request: NextRequest): NextResponse {
  const host = (request.headers.get('host') ?? '').replace(/:\d+$/, '');
  const isNetwork = isFromNetwork(request.headers.get(gateHeader), process.env.LEVITAR_GATE);
  // The network door has looked at the name itself.
  if (!isNetwork && !allowedHosts().includes(host)) {
    return new NextResponse('This server does not answer to that name.', { status: 421 });
  }
  if (!isReading(request.method) && !isSameOrigin(request)) {
    return new NextResponse('Changes are accepted from Levitar’s own pages only.', { status: 403 });
  }
  let role = 'teacher';
  if (isNetwork) {
    const path = request.nextUrl.pathname;
    const ruling = ruleOn({
      path,
      isReading: isReading(request.method),
      isAction: request.headers.has('next-action'),
      role: findDeviceBy(request.cookies.get(deviceCookie)?.value)?.role ?? null,
    });
    if (ruling.kind === 'closed') {
      return new NextResponse('This is the teacher’s.', { status: 403 });
    }
    if (ruling.kind === 'pair') {
      return isReading(request.method) && request.headers.get('accept')?.includes('text/html')
        ? NextResponse.redirect(new URL('/pair', `https://${request.headers.get('host')}`))
        : new NextResponse('This device is not let in.', { status: 401 });
    }
    role = ruling.role;
  }
  const nonce = Buffer.from(crypto.randomUUID()).toString('base64');
  const policy = contentPolicy(nonce);
  const headers = new Headers(request.headers);
  headers.set('x-nonce', nonce);
  headers.set(roleHeader, role);
  headers.delete(gateHeader);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  return response;
}

export const config = { matcher: ['/((?!_next/static|favicon.ico|icon.svg).*)'] };
