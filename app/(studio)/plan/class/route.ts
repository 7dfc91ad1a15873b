import { exportClass } from '@/server/judging/classViews';
import { readCourseParam } from '@/server/courseParam';
import { exportRoute } from '@/server/files/exportRoute';

/** The coming class as a file. It holds health notes: only for whoever teaches it. */
function answer(request: Request): Response {
  const asked = new URL(request.url).searchParams.get('course');
  const id = readCourseParam(asked ?? undefined);
  const file = id === undefined || id === null ? null : exportClass(id);
  if (file === null) return new Response('There is no such course.', { status: 404 });
  return new Response(`${JSON.stringify(file, null, 2)}\n`, {
    headers: {
      'Content-Type': 'application/json',
      'Content-Disposition': 'attachment; filename="class.json"',
      'Cache-Control': 'no-store',
    },
  });
}

export const GET = exportRoute(answer);
