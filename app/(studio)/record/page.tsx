import { readCourseParam } from '@/server/courseParam';
import { readCourseRecord } from '@/server/record';
import { CautionLine, Page } from '@/ui/layout/Page';
import { RecordScreen } from '@/ui/recordpages/RecordScreen';
import { EmptyCourse } from '@/ui/tonight/EmptyCourse';
import { startDemoAction } from '@/app/startActions';
import { teacherPage } from '@/server/guarded';

export const metadata = { title: 'Record' };

interface RecordPageProps {
  readonly searchParams: Promise<{
    readonly course?: string | string[];
    readonly family?: string | string[];
  }>;
}

async function RecordPage({ searchParams }: RecordPageProps) {
  const { course, family } = await searchParams;
  const record = readCourseRecord(
    readCourseParam(course) ?? undefined,
    typeof family === 'string' ? family : undefined,
  );
  if (record === null) return <EmptyCourse startDemo={startDemoAction} />;
  return (
    <Page>
      <RecordScreen key={`${record.course.id}/${record.family}`} record={record} />
      <CautionLine />
    </Page>
  );
}

export default teacherPage(RecordPage);
