import { takeFileIn } from '@/features/settings/importRoute';
import { teacherRoute } from '@/server/network/guarded';

export const POST = teacherRoute(takeFileIn);
