import { writeStudioFile } from '@/server/studioFile';
import { streamText } from '@/server/stream';

/** Everything as one file. It holds health notes: only for whoever teaches here. */
export function GET(): Response {
  return new Response(streamText(writeStudioFile()), {
    headers: {
      'Content-Type': 'application/json',
      'Content-Disposition': 'attachment; filename="studio.json"',
      'Cache-Control': 'no-store',
    },
  });
}
