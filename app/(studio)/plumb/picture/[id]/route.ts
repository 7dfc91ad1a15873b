import { answerPicture } from '@/features/plumb/answerPicture';
import { teacherRoute } from '@/server/network/guarded';

export const GET = teacherRoute(answerPicture);
