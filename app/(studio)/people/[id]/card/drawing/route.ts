import { toSvgFile } from '@/core/drawing/svg';
import { readPersonId } from '@/server/personId';
import { readPerson } from '@/server/judging/views';
import { cardPxPerM } from '@/features/card/scale';
import { drawTonight, stageOf } from '@/features/card/StageDrawing';
import { teacherRoute } from '@/server/network/guarded';

interface RouteContext {
  readonly params: Promise<{ readonly id: string }>;
}

/** The card's drawing as an SVG file, true to scale. The file name names nobody. */
async function answer(_request: Request, { params }: RouteContext): Promise<Response> {
  const id = readPersonId((await params).id);
  const view = id === null ? null : readPerson(id);
  if (view === null || view.verdict.alternative) {
    return new Response('There is no such drawing.', { status: 404 });
  }
  const scene = drawTonight(view, {
    pxPerM: cardPxPerM,
    units: view.settings.units,
    detail: 'card',
  });
  const file = toSvgFile(scene, stageOf(view).label, { ink: view.settings.paperInk });
  return new Response(file, {
    headers: {
      'content-type': 'image/svg+xml; charset=utf-8',
      'content-disposition': 'attachment; filename="levitar-set-up.svg"',
      'cache-control': 'no-store',
    },
  });
}

export const GET = teacherRoute(answer);
