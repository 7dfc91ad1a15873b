import type { Metadata } from 'next';
import { readBench } from '@/server/judging/views';
import { readAddress } from '@/features/bench/address';
import { BenchScreen } from '@/features/bench/BenchScreen';
import { CautionLine, Page } from '@/design/Page';
import { EmptyCourse } from '@/features/beginning/EmptyCourse';
import { teacherPage } from '@/server/network/guarded';

export const metadata: Metadata = { title: 'Bench' };

interface BenchPageProps {
  readonly searchParams: Promise<Readonly<Record<string, string | string[] | undefined>>>;
}

async function BenchPage({ searchParams }: BenchPageProps) {
  const view = readBench();
  if (view === null) return <EmptyCourse />;
  return (
    <Page>
      <BenchScreen view={view} start={readAddress(await searchParams, view.people)} />
      <CautionLine />
    </Page>
  );
}

export default teacherPage(BenchPage);
