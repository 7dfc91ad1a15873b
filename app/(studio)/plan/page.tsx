import { readClass } from '@/server/judging/classViews';
import { readCourseParam } from '@/server/courseParam';
import { CautionLine, Page } from '@/design/Page';
import { PlanScreen } from '@/features/plan/PlanScreen';
import { EmptyCourse } from '@/features/beginning/EmptyCourse';
import { startDemoAction } from '@/features/beginning/actions';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: 'Plan' };

interface PlanPageProps {
  readonly searchParams: Promise<{ readonly course?: string | string[] }>;
}

async function PlanPage({ searchParams }: PlanPageProps) {
  const view = readClass(readCourseParam((await searchParams).course) ?? null);
  if (view === null) return <EmptyCourse startDemo={startDemoAction} />;
  return (
    <Page>
      <PlanScreen key={view.course.id} view={view} />
      <CautionLine />
    </Page>
  );
}

export default teacherPage(PlanPage);
