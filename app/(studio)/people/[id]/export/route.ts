import { exportPerson } from '@/server/exportPerson';
import { readPersonId } from '@/server/personId';
import { teacherRoute } from '@/server/guarded';
import { readAsker } from '@/server/asker';
import { askingAs } from '@/server/asking';
import { noteExport } from '@/server/studioFile';

interface RouteContext {
  readonly params: Promise<{ readonly id: string }>;
}

/** Everything about one person as one file. Its name names nobody. */
async function answer(request: Request, { params }: RouteContext): Promise<Response> {
  askingAs(readAsker(request.headers), noteExport);
  const id = readPersonId((await params).id);
  const file = id === null ? null : exportPerson(id);
  if (file === null) return new Response('There is no such person.', { status: 404 });
  return new Response(JSON.stringify(file, null, 2), {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': 'attachment; filename="levitar-person.json"',
      'cache-control': 'no-store',
    },
  });
}

export const GET = teacherRoute(answer);
