import { readFile } from 'node:fs/promises';
import path from 'node:path';
import { classRoute } from '@/server/network/guarded';

/** The solver's program, from the installed package: the worker in the browser loads it from here. */
async function answer(): Promise<Response> {
  const file = path.join(process.cwd(), 'node_modules', 'highs', 'build', 'highs.wasm');
  return new Response(new Uint8Array(await readFile(file)), {
    headers: {
      'Content-Type': 'application/wasm',
      // The same for as long as this version runs; asked for anew after an update.
      'Cache-Control': 'private, max-age=3600',
    },
  });
}

export const GET = classRoute(answer);
