import { recordsCsv } from '@/server/files/recordTable';
import { streamText } from '@/server/files/stream';
import { exportRoute } from '@/server/files/exportRoute';

function answer(): Response {
  return new Response(streamText(recordsCsv()), {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="records.csv"',
      'Cache-Control': 'no-store',
    },
  });
}

export const GET = exportRoute(answer);
