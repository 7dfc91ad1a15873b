import type { Metadata } from 'next';
import { shapeIds } from '@/core/shapes/registry';
import { readPersonId } from '@/server/personId';
import { readBench } from '@/server/judging/views';
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
  const { person, shape } = await searchParams;
  const id = typeof person === 'string' ? readPersonId(person) : null;
  const first = view.people.find((candidate) => candidate.id === id) ?? view.people[0];
  const family = shapeIds.find((candidate) => candidate === shape) ?? 'forearmStandWall';
  return (
    <Page>
      <BenchScreen
        key={`${first?.id}-${family}`}
        view={view}
        firstPersonId={first?.id ?? null}
        firstFamily={family}
      />
      <CautionLine />
    </Page>
  );
}

export default teacherPage(BenchPage);
