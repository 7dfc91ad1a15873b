import { notFound } from 'next/navigation';
import { BeginPage } from '@/features/beginning/BeginPage';
import { beginSteps, isBeginStep } from '@/features/beginning/steps';
import { readCourseParam } from '@/server/courseParam';
import { teacherPage, teacherTitle } from '@/server/network/guarded';

export const generateMetadata = teacherTitle<{ step: string }>('Beginning', ({ step }) =>
  isBeginStep(step) ? `Beginning: ${beginSteps[step].label.toLowerCase()}` : null,
);

interface StepPageProps {
  readonly params: Promise<{ readonly step: string }>;
  readonly searchParams: Promise<{ readonly course?: string | string[] }>;
}

async function StepPage({ params, searchParams }: StepPageProps) {
  const { step } = await params;
  if (!isBeginStep(step)) notFound();
  return <BeginPage step={step} courseId={readCourseParam((await searchParams).course) ?? null} />;
}

export default teacherPage(StepPage);
