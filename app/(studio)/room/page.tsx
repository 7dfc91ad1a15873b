import { readCourseParam } from '@/server/courseParam';
import { readRoomView } from '@/server/roomViews';
import { CautionLine, Page } from '@/ui/layout/Page';
import { RoomScreen } from '@/ui/room/RoomScreen';
import { EmptyCourse } from '@/ui/tonight/EmptyCourse';
import { startDemoAction } from '@/app/startActions';
import { teacherPage } from '@/server/guarded';

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
