import { recordsCsv } from '@/server/recordTable';
import { streamText } from '@/server/stream';

export function GET(): Response {
  return new Response(streamText(recordsCsv()), {
    headers: {
      'Content-Type': 'text/csv; charset=utf-8',
      'Content-Disposition': 'attachment; filename="records.csv"',
      'Cache-Control': 'no-store',
    },
  });
}
