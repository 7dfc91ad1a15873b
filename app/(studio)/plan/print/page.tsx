import { readClass } from '@/server/judging/classViews';
import { readCourseParam } from '@/server/courseParam';
import { PrintPage } from '@/features/plan/PrintPage';
import { EmptyCourse } from '@/features/beginning/EmptyCourse';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: 'The class on paper' };

interface PrintPageProps {
  readonly searchParams: Promise<{ readonly course?: string | string[] }>;
}

async function PlanPrintPage({ searchParams }: PrintPageProps) {
  const view = readClass(readCourseParam((await searchParams).course) ?? null);
  return view === null ? <EmptyCourse /> : <PrintPage view={view} />;
}

export default teacherPage(PlanPrintPage);
