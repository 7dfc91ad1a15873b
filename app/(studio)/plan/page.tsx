import { readClass } from '@/server/classViews';
import { readCourseParam } from '@/server/courseParam';
import { CautionLine, Page } from '@/ui/layout/Page';
import { PlanScreen } from '@/ui/plan/PlanScreen';
import { EmptyCourse } from '@/ui/tonight/EmptyCourse';
import { startDemoAction } from '@/app/startActions';
import { teacherPage } from '@/server/guarded';

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
