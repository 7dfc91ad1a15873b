import { peopleCsv } from '@/server/recordTable';

export function GET(): Response {
  return new Response(`${peopleCsv()}\r\n`, {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="people.csv"',
      'Cache-Control': 'no-store',
    },
  });
}
