import { format } from 'date-fns';
import { diaryTable } from '@/core/files/diaryKinds';
import { writeTable } from '@/server/files/csv';
import { readDiary } from '@/features/settings/setAside';
import { teacherRoute } from '@/server/network/guarded';

/** The whole diary as a table. */
function answer(): Response {
  const rows = readDiary(1_000_000).map(({ atMs, who, kind }) => ({
    when: format(atMs, 'yyyy-MM-dd HH:mm:ss'),
    who,
    what: diaryTable[kind],
  }));
  return new Response(`${writeTable(rows)}\r\n`, {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="diary.csv"',
      'Cache-Control': 'no-store',
    },
  });
}

export const GET = teacherRoute(answer);
