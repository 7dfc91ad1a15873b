import { readPersonId } from '@/server/personId';
import { floorDaysCsv, readFloorDays } from '@/features/record/read';
import { exportRoute } from '@/server/files/exportRoute';

/** One person's evenings on the floor as a table. */
async function answer(
  _request: Request,
  { params }: { readonly params: Promise<{ readonly id: string }> },
): Promise<Response> {
  const id = readPersonId((await params).id);
  if (id === null) return new Response('There is no such person.', { status: 404 });
  return new Response(`${floorDaysCsv(readFloorDays(id))}\r\n`, {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="evenings.csv"',
      'Cache-Control': 'no-store',
    },
  });
}

export const GET = exportRoute(answer);
