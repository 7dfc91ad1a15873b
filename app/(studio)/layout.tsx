import type { ReactNode } from 'react';
import { classRole } from '@/server/running/floorRole';
import { hasDeskLock } from '@/server/desk/desk';
import { askerOf } from '@/server/network/guarded';
import { readSettings } from '@/server/judging/views';
import { UnitsProvider } from '@/design/units';
import { Header } from '@/features/shell/Header';
import { Main } from '@/features/shell/Main';
import { Paper } from '@/features/shell/Paper';
import { WatchOver } from '@/features/shell/WatchOver';

/** Of every page behind the doors but the running class. */
export default async function StudioLayout({ children }: { readonly children: ReactNode }) {
  const asker = await askerOf('class');
  const canLock = !asker.isFromNetwork && hasDeskLock();
  const { units, paperInk } = readSettings();
  return (
    <Paper ink={paperInk}>
      <UnitsProvider units={units}>
        <Header
          units={units}
          paperInk={paperInk}
          isTeacher={classRole(asker) === 'teacher'}
          canLock={canLock}
        />
        <WatchOver asker={asker} />
        <Main>{children}</Main>
      </UnitsProvider>
    </Paper>
  );
}
