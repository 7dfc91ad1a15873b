import { readCourseParam } from '@/server/courseParam';
import { readRight, rightCsv } from '@/features/record/right';
import { exportRoute } from '@/server/files/exportRoute';

/** The figures behind the diagram. */
function answer(request: Request): Response {
  const asked = new URL(request.url).searchParams;
  const record = readRight(readCourseParam(asked.get('course') ?? undefined) ?? undefined);
  if (record === null) return new Response('There are no such figures.', { status: 404 });
  return new Response(`${rightCsv(record)}\r\n`, {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="chances.csv"',
      'Cache-Control': 'no-store',
    },
  });
}

export const GET = exportRoute(answer);
