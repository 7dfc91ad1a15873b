import { readCourseParam } from '@/server/courseParam';
import { readCourseRecord } from '@/features/record/read';
import { CautionLine, Page } from '@/design/Page';
import { RecordScreen } from '@/features/record/RecordScreen';
import { EmptyCourse } from '@/features/beginning/EmptyCourse';
import { startDemoAction } from '@/features/beginning/actions';
import { teacherPage } from '@/server/network/guarded';

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
