import { readCourseParam } from '@/server/courseParam';
import { readCourseRecord, recordCsv, recordKinds } from '@/features/record/read';
import { exportRoute } from '@/server/files/exportRoute';

/** The figures behind one chart. */
function answer(request: Request): Response {
  const asked = new URL(request.url).searchParams;
  const kind = recordKinds.find((one) => one === asked.get('what'));
  const record = readCourseRecord(
    readCourseParam(asked.get('course') ?? undefined) ?? undefined,
    asked.get('family') ?? undefined,
  );
  if (kind === undefined || record === null) {
    return new Response('There are no such figures.', { status: 404 });
  }
  return new Response(`${recordCsv(record, kind)}\r\n`, {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': `attachment; filename="${kind}.csv"`,
      'Cache-Control': 'no-store',
    },
  });
}

export const GET = exportRoute(answer);
