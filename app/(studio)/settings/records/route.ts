import { recordsCsv } from '@/server/recordTable';
import { streamText } from '@/server/stream';
import { teacherRoute } from '@/server/guarded';
import { readAsker } from '@/server/asker';
import { askingAs } from '@/server/asking';
import { noteExport } from '@/server/studioFile';

function answer(request: Request): Response {
  askingAs(readAsker(request.headers), noteExport);
  return new Response(streamText(recordsCsv()), {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="records.csv"',
      'Cache-Control': 'no-store',
    },
  });
}

export const GET = teacherRoute(answer);
