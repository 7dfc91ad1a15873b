import { exportPerson } from '@/server/files/exportPerson';
import { readPersonId } from '@/server/personId';
import { exportRoute } from '@/server/files/exportRoute';

interface RouteContext {
  readonly params: Promise<{ readonly id: string }>;
}

/** Everything about one person as one file. Its name names nobody. */
async function answer(_request: Request, { params }: RouteContext): Promise<Response> {
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

export const GET = exportRoute(answer);
