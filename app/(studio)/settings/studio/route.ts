import { writeStudioFile } from '@/server/files/studioFile';
import { streamText } from '@/server/files/stream';
import { exportRoute } from '@/server/files/exportRoute';

/** Everything as one file. It holds health notes: only for whoever teaches here. */
function answer(): Response {
  return new Response(streamText(writeStudioFile()), {
    headers: {
      'Content-Type': 'application/json',
      'Content-Disposition': 'attachment; filename="studio.json"',
      'Cache-Control': 'no-store',
    },
  });
}

export const GET = exportRoute(answer);
