import { peopleCsv } from '@/server/recordTable';
import { teacherRoute } from '@/server/guarded';
import { readAsker } from '@/server/asker';
import { askingAs } from '@/server/asking';
import { noteExport } from '@/server/studioFile';

function answer(request: Request): Response {
  askingAs(readAsker(request.headers), noteExport);
  return new Response(`${peopleCsv()}\r\n`, {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="people.csv"',
      'Cache-Control': 'no-store',
    },
  });
}

export const GET = teacherRoute(answer);
