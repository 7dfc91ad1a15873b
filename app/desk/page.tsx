import { headers } from 'next/headers';
import { redirect } from 'next/navigation';
import { readAsker } from '@/server/network/asker';
import { hasDeskLock } from '@/server/desk/desk';
import { readSettings } from '@/server/judging/views';
import { SignIn } from '@/features/desk/SignIn';

export const metadata = { title: 'Sign in' };
export const dynamic = 'force-dynamic';

export default async function DeskPage() {
  if (!hasDeskLock()) redirect('/');
  const { isLocked } = readAsker(await headers());
  return <SignIn name={readSettings().deskName} isFloorOpen={isLocked} />;
}
