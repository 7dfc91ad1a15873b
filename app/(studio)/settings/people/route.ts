import { peopleCsv } from '@/server/files/recordTable';
import { exportRoute } from '@/server/files/exportRoute';

function answer(): Response {
  return new Response(`${peopleCsv()}\r\n`, {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="people.csv"',
      'Cache-Control': 'no-store',
    },
  });
}

export const GET = exportRoute(answer);
