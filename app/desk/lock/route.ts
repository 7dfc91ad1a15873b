import { lockDesk } from '@/server/desk/desk';
import { tokenOf } from '@/server/desk/deskRoute';
import { deskRoute } from '@/server/network/guarded';

/** Locks the desk for the browser that asks. */
export const POST = deskRoute((request) => {
  lockDesk(tokenOf(request));
  return new Response(null, { status: 204 });
});
