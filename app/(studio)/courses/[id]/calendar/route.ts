import { writeCalendar } from '@/features/courses/read';
import { readPersonId } from '@/server/personId';
import { teacherRoute } from '@/server/network/guarded';

interface RouteContext {
  readonly params: Promise<{ readonly id: string }>;
}

/** The course's evenings as a calendar file. */
async function answer(_request: Request, { params }: RouteContext): Promise<Response> {
  const id = readPersonId((await params).id);
  const file = id === null ? null : writeCalendar(id);
  if (file === null) return new Response('There is no such course.', { status: 404 });
  return new Response(file.text, {
    headers: {
      'content-type': 'text/calendar; charset=utf-8',
      'content-disposition': `attachment; filename="${file.name}"`,
      'cache-control': 'no-store',
    },
  });
}

export const GET = teacherRoute(answer);
