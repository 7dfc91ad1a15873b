import { NextResponse, type NextRequest } from 'next/server';
import { askerHeader, atDevice, nobody, writeAsker, type Asker } from '@/server/network/asker';
import { deskCookie, findAtDesk, noteAtDesk } from './server/desk/desk';
import { findDeviceBy } from '@/server/network/devices';
import { findTrouble } from './server/database';
import {
  deviceCookie,
  doorHeader,
  isBuildFile,
  isFromNetwork,
  isOpenAtDesk,
  readHost,
  ruleOn,
} from '@/server/network/doorRules';

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
    // A clip is played from the memory of the page that it was dropped on.
    "media-src 'self' blob:",
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

/** Scheme, name and port: another program on this machine is another origin. */
function isSameOrigin(request: NextRequest, isNetwork: boolean): boolean {
  const origin = request.headers.get('origin');
  const host = request.headers.get('host');
  return origin !== null && origin === `${isNetwork ? 'https' : 'http'}://${host}`;
}

const refused = (status: number, words: string) =>
  new NextResponse(words, { status, headers: { 'Cache-Control': 'no-store' } });

const wantsPage = (request: NextRequest) =>
  isReading(request.method) && request.headers.get('accept')?.includes('text/html') === true;

/** Nobody signed in or let in: a page becomes the page that asks, everything else is refused. */
function turnAway(request: NextRequest, to: '/pair' | '/desk', scheme: string): NextResponse {
  if (!wantsPage(request)) {
    return refused(401, to === '/pair' ? 'This device is not let in.' : 'Sign in at the desk.');
  }
  const target = new URL(to, `${scheme}://${request.headers.get('host')}`);
  const response = NextResponse.redirect(target, 307);
  response.headers.set('Cache-Control', 'no-store');
  return response;
}

/**
 * Guards every request without exception: known host, same origin for every change, who asks, and
 * a content policy with a nonce. What is not let through here is answered here.
 */
export function proxy(request: NextRequest): NextResponse {
  const host = readHost(request.headers.get('host'));
  if (host === null) return refused(400, 'This is no name of a server.');
  const isNetwork = isFromNetwork(request.headers.get(doorHeader), process.env.LEVITAR_DOOR_MARK);
  // The network door has looked at the name itself.
  if (!isNetwork && !allowedHosts().includes(host)) {
    return refused(421, 'This server does not answer to that name.');
  }
  if (!isReading(request.method) && !isSameOrigin(request, isNetwork)) {
    return refused(403, 'Changes are accepted from Levitar’s own pages only.');
  }
  const path = request.nextUrl.pathname;
  const asking = {
    path,
    isReading: isReading(request.method),
    isAction: request.headers.has('next-action'),
  };
  if (isBuildFile(path)) {
    if (!asking.isReading || asking.isAction) return refused(405, 'This can only be read.');
    // Without a policy of its own: a worker would take it for what it may load and compile.
    return NextResponse.next({ request: { headers: headersFor(request, nobody) } });
  }
  if (findTrouble() !== null) return inTrouble(request, asking, isNetwork);
  if (isNetwork) {
    const device = findDeviceBy(request.cookies.get(deviceCookie)?.value);
    const ruling = ruleOn({ ...asking, role: device?.role ?? null });
    if (ruling.kind === 'closed') return refused(403, 'This is the teacher’s.');
    if (ruling.kind === 'pair') return turnAway(request, '/pair', 'https');
    return pass(request, device === null ? nobody : atDevice(device));
  }
  const token = request.cookies.get(deskCookie)?.value;
  const asker = findAtDesk(token);
  if (asker.role === 'nobody' || asker.isLocked) {
    return isOpenAtDesk(asking, asker.isLocked)
      ? pass(request, asker)
      : turnAway(request, '/desk', 'http');
  }
  // Taps are delivered and devices asked after without anybody touching anything.
  if (!/\/taps$/.test(path)) noteAtDesk(token);
  return pass(request, asker);
}

/** The studio cannot be opened: at the desk the page that helps, to everybody else a sentence. */
function inTrouble(
  request: NextRequest,
  { path }: { readonly path: string },
  isNetwork: boolean,
): NextResponse {
  if (isNetwork) return refused(503, 'The studio’s computer cannot open the studio just now.');
  if (path === '/trouble' || path === '/trouble/help') return pass(request, nobody, true);
  if (!wantsPage(request)) return refused(503, 'The studio cannot be opened just now.');
  return NextResponse.redirect(new URL('/trouble', `http://${request.headers.get('host')}`), 307);
}

/** What the pages behind hear of who asks; overwrites what somebody sends under this name. */
function headersFor(request: NextRequest, asker: Asker): Headers {
  const headers = new Headers(request.headers);
  headers.set(askerHeader, writeAsker(asker));
  headers.delete(doorHeader);
  return headers;
}

function pass(request: NextRequest, asker: Asker, isInTrouble = false): NextResponse {
  const nonce = Buffer.from(crypto.randomUUID()).toString('base64');
  const policy = contentPolicy(nonce);
  const headers = headersFor(request, { ...asker, isInTrouble });
  headers.set('x-nonce', nonce);
  headers.set('content-security-policy', policy);
  const response = NextResponse.next({ request: { headers } });
  response.headers.set('content-security-policy', policy);
  return response;
}

// No matcher: there is no path that is not looked at.
