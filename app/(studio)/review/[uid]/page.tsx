import { sayDay } from '@/core/units/day';
import { notFound } from 'next/navigation';
import { readReview } from '@/features/review/review';
import { CautionLine, Page } from '@/design/Page';
import { ReviewScreen } from '@/features/review/ReviewScreen';
import { teacherPage, teacherTitle } from '@/server/network/guarded';
import { database } from '@/server/database';
import { findFloorClass } from '@/db/floor';

export const generateMetadata = teacherTitle<{ uid: string }>('Review', ({ uid }) => {
  const held = findFloorClass(database(), uid);
  return held === null ? null : `Review, ${sayDay(held.day)}`;
});

interface ReviewPageProps {
  readonly params: Promise<{ readonly uid: string }>;
}

async function ReviewPage({ params }: ReviewPageProps) {
  const view = readReview((await params).uid);
  if (view === null) notFound();
  return (
    <Page>
      <ReviewScreen view={view} />
      <CautionLine />
    </Page>
  );
}

export default teacherPage(ReviewPage);
