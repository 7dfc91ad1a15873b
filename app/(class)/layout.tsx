import type { ReactNode } from 'react';
import { askerOf } from '@/server/network/guarded';
import { Main } from '@/features/shell/Main';
import { WatchOver } from '@/features/shell/WatchOver';

/** The running class fills the screen: nothing beside it may be hit by mistake, or be waited for. */
export default async function ClassLayout({ children }: { readonly children: ReactNode }) {
  return (
    <>
      <WatchOver asker={await askerOf('class')} />
      <Main>{children}</Main>
    </>
  );
}
