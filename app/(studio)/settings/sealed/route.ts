import { z } from 'zod';
import { keyOf, sealStream } from '@/db/sealing.mjs';
import { exportRoute } from '@/server/files/exportRoute';
import { writeStudioFile } from '@/server/files/studioFile';

const form = z.object({ passphrase: z.string().min(10).max(200) });

/** Everything as one file, sealed with the passphrase that came with the form. */
async function answer(request: Request): Promise<Response> {
  const parsed = form.safeParse(Object.fromEntries(await request.formData().catch(() => [])));
  if (!parsed.success) {
    return new Response('A passphrase of at least ten signs, please. Go back and write one.', {
      status: 400,
      headers: { 'Content-Type': 'text/plain; charset=utf-8', 'Cache-Control': 'no-store' },
    });
  }
  const key = await keyOf(parsed.data.passphrase);
  const encoder = new TextEncoder();
  function* bytes() {
    for (const piece of writeStudioFile()) yield encoder.encode(piece);
  }
  const sealed = sealStream(bytes(), key, 'studio-file');
  const body = new ReadableStream<Uint8Array>({
    async pull(controller) {
      const { value, done } = await sealed.next();
      if (done === true) controller.close();
      else controller.enqueue(value as Uint8Array);
    },
  });
  return new Response(body, {
    headers: {
      'Content-Type': 'application/octet-stream',
      'Content-Disposition': 'attachment; filename="studio.sealed"',
      'Cache-Control': 'no-store',
    },
  });
}

export const POST = exportRoute(answer);
