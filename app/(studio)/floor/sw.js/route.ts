import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { classRoute } from '@/server/network/guarded';

/** The service worker of the running class, made together with the build. */
async function answer(): Promise<Response> {
  try {
    const text = await readFile(path.join(process.cwd(), '.next', 'floor-sw.js'), 'utf8');
    return new Response(text, {
      headers: {
        'Content-Type': 'text/javascript',
        'Cache-Control': 'no-cache',
        // The list of classes as well: a class is opened from there without loading a page.
        'Service-Worker-Allowed': '/floor',
      },
    });
  } catch {
    // The development server has none: the class runs without.
    return new Response('', { status: 404 });
  }
}

export const GET = classRoute(answer);
