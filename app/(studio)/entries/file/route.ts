import { writeEntriesFile } from '@/features/profiles/read';
import { teacherRoute } from '@/server/network/guarded';

/** The teacher's own stages, branches, drills and checks as a file to hand on. */
function answer(): Response {
  return new Response(JSON.stringify(writeEntriesFile(), null, 2), {
    headers: {
      'content-type': 'application/json; charset=utf-8',
      'content-disposition': 'attachment; filename="levitar-entries.json"',
      'cache-control': 'no-store',
    },
  });
}

export const GET = teacherRoute(answer);
