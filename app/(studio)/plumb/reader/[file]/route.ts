import { answerReaderFile } from '@/features/plumb/readerFiles';
import { teacherRoute } from '@/server/network/guarded';

export const GET = teacherRoute(answerReaderFile);
