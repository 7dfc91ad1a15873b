/** What the reader of pictures is made of, from the installed packages; loaded only when it is asked for. */
import { readFile } from 'node:fs/promises';
import path from 'node:path';

const modules = path.join(process.cwd(), 'node_modules');
const wasm = path.join(modules, '@tensorflow', 'tfjs-backend-wasm', 'dist');
const models = path.join(modules, '@vladmandic', 'human-models', 'models');

const files: Readonly<Record<string, { readonly folder: string; readonly type: string }>> = {
  'tfjs-backend-wasm.wasm': { folder: wasm, type: 'application/wasm' },
  'tfjs-backend-wasm-simd.wasm': { folder: wasm, type: 'application/wasm' },
  'tfjs-backend-wasm-threaded-simd.wasm': { folder: wasm, type: 'application/wasm' },
  'blazepose-detector.json': { folder: models, type: 'application/json' },
  'blazepose-detector.bin': { folder: models, type: 'application/octet-stream' },
  'blazepose-full.json': { folder: models, type: 'application/json' },
  'blazepose-full.bin': { folder: models, type: 'application/octet-stream' },
};

interface Context {
  readonly params: Promise<{ readonly file: string }>;
}

/** One of the files by its name, and no other. */
export async function answerReaderFile(_: Request, { params }: Context): Promise<Response> {
  const { file } = await params;
  const found = Object.hasOwn(files, file) ? files[file] : undefined;
  if (found === undefined) return new Response('There is no such file.', { status: 404 });
  try {
    return new Response(new Uint8Array(await readFile(path.join(found.folder, file))), {
      headers: {
        'Content-Type': found.type,
        // The same for as long as this version runs; asked for anew after an update.
        'Cache-Control': 'private, max-age=86400',
      },
    });
  } catch {
    return new Response('The reader is not installed here.', { status: 404 });
  }
}
