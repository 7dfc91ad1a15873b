import { revalidatePath } from 'next/cache';
import { readAsker, type Asker } from '@/server/network/asker';
import { takeUpload, type TakeLine } from '@/server/files/takeUpload';

/** As it was typed; what nobody could have typed opens nothing, and is no error of the server’s. */
function decoded(text: string): string {
  try {
    return decodeURIComponent(text);
  } catch {
    return text;
  }
}

/**
 * A file that was uploaded: a look first, then for good. The answer comes line by line: how far it
 * is, and at the end the outcome.
 */
export function takeFileIn(request: Request): Response {
  const asked = new URL(request.url).searchParams;
  const isFinal = asked.get('final') === 'yes';
  const asker: Asker = readAsker(request.headers);
  const encoder = new TextEncoder();
  const lines = new ReadableStream<Uint8Array>({
    async start(controller) {
      const say = (line: TakeLine) => {
        try {
          controller.enqueue(encoder.encode(`${JSON.stringify(line)}\n`));
        } catch {
          // Whoever asked has gone; what was begun goes on to its end.
        }
      };
      const outcome = await takeUpload({
        id: asked.get('id'),
        kind: asked.get('kind') === 'records' ? 'records' : 'studio',
        isFinal,
        passphrase: decoded(request.headers.get('x-passphrase') ?? ''),
        who: asker.name,
        onProgress: (share) => say({ share }),
      });
      if (outcome.ok && isFinal) revalidatePath('/', 'layout');
      say({ outcome });
      try {
        controller.close();
      } catch {
        // Closed already.
      }
    },
  });
  return new Response(lines, {
    headers: { 'Content-Type': 'application/x-ndjson', 'Cache-Control': 'no-store, no-transform' },
  });
}
