import { classRoute } from '@/server/network/guarded';

/** Is this device still let in? The guard has answered before, if it is not. */
export const GET = classRoute(() => new Response(null, { status: 204 }));
