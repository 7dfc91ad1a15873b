import { takeDelivery } from '@/features/floor/tapsRoute';
import { classRoute } from '@/server/network/guarded';

export const POST = classRoute(takeDelivery);
