import { readCourseParam } from '@/server/courseParam';
import { readRoomView } from '@/features/room/read';
import { CautionLine, Page } from '@/design/Page';
import { RoomScreen } from '@/features/room/RoomScreen';
import { EmptyCourse } from '@/features/beginning/EmptyCourse';
import { startDemoAction } from '@/features/beginning/actions';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: 'Room and cupboard' };

interface RoomPageProps {
  readonly searchParams: Promise<{ readonly course?: string | string[] }>;
}

async function RoomPage({ searchParams }: RoomPageProps) {
  const view = readRoomView(readCourseParam((await searchParams).course) ?? null);
  if (view === null) return <EmptyCourse startDemo={startDemoAction} />;
  return (
    <Page>
      <RoomScreen key={view.course.id} view={view} />
      <CautionLine />
    </Page>
  );
}

export default teacherPage(RoomPage);
