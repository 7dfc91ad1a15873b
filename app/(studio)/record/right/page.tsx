import { readCourseParam } from '@/server/courseParam';
import { CautionLine, Page } from '@/design/Page';
import { EmptyCourse } from '@/features/beginning/EmptyCourse';
import { startDemoAction } from '@/features/beginning/actions';
import { readRight } from '@/features/record/right';
import { RightScreen } from '@/features/record/RightScreen';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: 'Was it right?' };

interface RightPageProps {
  readonly searchParams: Promise<{ readonly course?: string | string[] }>;
}

async function RightPage({ searchParams }: RightPageProps) {
  const { course } = await searchParams;
  const record = readRight(readCourseParam(course) ?? undefined);
  if (record === null) return <EmptyCourse startDemo={startDemoAction} />;
  return (
    <Page>
      <RightScreen record={record} />
      <CautionLine />
    </Page>
  );
}

export default teacherPage(RightPage);
