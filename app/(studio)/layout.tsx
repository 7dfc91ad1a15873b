import type { ReactNode } from 'react';
import { classRole } from '@/server/running/floorRole';
import { hasDeskLock } from '@/server/desk/desk';
import { askerOf } from '@/server/network/guarded';
import { readSettings } from '@/server/judging/views';
import { Header } from '@/features/shell/Header';
import { Main } from '@/features/shell/Main';
import { Watch } from '@/features/shell/Watch';

/** Of every page behind the doors. */
export default async function StudioLayout({ children }: { readonly children: ReactNode }) {
  const asker = await askerOf('class');
  const { units, deskIdleMinutes } = readSettings();
  const isDesk = !asker.isFromNetwork && hasDeskLock();
  return (
    <>
      <Header units={units} isTeacher={classRole(asker) === 'teacher'} canLock={isDesk} />
      {asker.isFromNetwork && <Watch at="device" />}
      {isDesk && !asker.isLocked && <Watch at="desk" idleMinutes={deskIdleMinutes} />}
      <Main>{children}</Main>
    </>
  );
}
