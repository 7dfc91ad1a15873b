import { noteExport, writeStudioFile } from '@/server/studioFile';
import { streamText } from '@/server/stream';
import { teacherRoute } from '@/server/guarded';
import { readAsker } from '@/server/asker';
import { askingAs } from '@/server/asking';

/** Everything as one file. It holds health notes: only for whoever teaches here. */
function answer(request: Request): Response {
  askingAs(readAsker(request.headers), noteExport);
  return new Response(streamText(writeStudioFile()), {
    headers: {
      'Content-Type': 'application/json',
      'Content-Disposition': 'attachment; filename="studio.json"',
      'Cache-Control': 'no-store',
    },
  });
}

export const GET = teacherRoute(answer);
