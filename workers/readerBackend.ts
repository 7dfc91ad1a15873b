/**
 * Where the reader's models are run: on the graphics card where the browser has a real one, else on
 * WebAssembly. Graphics that the processor plays are slower than WebAssembly, and are left out.
 */
import { backend, env, ready, setBackend } from '@tensorflow/tfjs-core';
import { setWasmPaths } from '@tensorflow/tfjs-backend-wasm';

export type RunsOn = 'graphics' | 'processor';

/** A name that a test gives the worker: graphics that the processor plays will do. */
export const anyGraphics = 'any-graphics';

/** What processors that play a card call themselves; a browser does not always say it otherwise. */
const played = /swiftshader|llvmpipe|softpipe|software|basic render/i;

function isPlayed(context: WebGL2RenderingContext): boolean {
  const unmasked = context.getExtension('WEBGL_debug_renderer_info')?.UNMASKED_RENDERER_WEBGL;
  return played.test(String(context.getParameter(unmasked ?? context.RENDERER)));
}

/** Kept, so that a card that went away is noticed. */
let card: WebGL2RenderingContext | null = null;

/** Is there a card that counts as exactly as the processor does? */
function hasGraphics(mayBePlayed: boolean): boolean {
  if (typeof OffscreenCanvas === 'undefined') return false;
  const context = new OffscreenCanvas(1, 1).getContext('webgl2', {
    failIfMajorPerformanceCaveat: !mayBePlayed,
  });
  if (context === null) return false;
  const isExact =
    context.getExtension('EXT_color_buffer_float') !== null && (mayBePlayed || !isPlayed(context));
  context.getExtension('WEBGL_lose_context')?.loseContext();
  return isExact;
}

async function startGraphics(): Promise<boolean> {
  const { MathBackendWebGL } = await import('@tensorflow/tfjs-backend-webgl');
  // Half the digits move a mark by a centimetre.
  if (!env().getBool('WEBGL_RENDER_FLOAT32_CAPABLE')) return false;
  if (!(await setBackend('webgl'))) return false;
  await ready();
  const used = backend();
  card = used instanceof MathBackendWebGL ? (used.gpgpu.gl as WebGL2RenderingContext) : null;
  return card !== null;
}

/**
 * Starts the fastest there is.
 *
 * @param files where the WebAssembly lies
 * @param mayUseGraphics false where they have failed before
 * @throws where there is neither
 */
export async function startBackend(files: string, mayUseGraphics: boolean): Promise<RunsOn> {
  if (mayUseGraphics && hasGraphics(self.name === anyGraphics)) {
    try {
      if (await startGraphics()) return 'graphics';
    } catch {
      // Whatever is wrong with it: the processor reads as well.
    }
  }
  setWasmPaths(files);
  await setBackend('wasm');
  await ready();
  return 'processor';
}

/** @throws where what came back was not counted: the card has gone, or has made no numbers of it */
export function checkCounted(runsOn: RunsOn, ...numbers: readonly ArrayLike<number>[]): void {
  if (runsOn === 'graphics' && card?.isContextLost() === true) {
    throw new Error('The graphics card has gone.');
  }
  if (!numbers.every((list) => Array.from(list).every(Number.isFinite))) {
    throw new Error('These are no numbers.');
  }
}
