import { redirect } from 'next/navigation';
import { hasDeskLock } from '@/server/desk/desk';
import { readSettings } from '@/server/views';
import { SignIn } from '@/ui/desk/SignIn';

export const metadata = { title: 'Sign in' };
export const dynamic = 'force-dynamic';

export default function DeskPage() {
  if (!hasDeskLock()) redirect('/');
  return <SignIn name={readSettings().deskName} />;
}
