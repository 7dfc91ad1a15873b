import { readHome, writeHomeCalendar } from '@/features/home/read';
import { readPersonId } from '@/server/personId';
import { teacherRoute } from '@/server/network/guarded';

async function answer(
  _request: Request,
  { params }: { readonly params: Promise<{ readonly id: string }> },
): Promise<Response> {
  const id = readPersonId((await params).id);
  const view = id === null ? null : readHome(id);
  if (view === null) return new Response('There is no such person.', { status: 404 });
  return new Response(writeHomeCalendar(view), {
    headers: {
      'Content-Type': 'text/calendar; charset=utf-8',
      'Content-Disposition': 'attachment; filename="practice.ics"',
      'Cache-Control': 'no-store',
    },
  });
}

export const GET = teacherRoute(answer);
