import { notFound } from 'next/navigation';
import { readReview } from '@/features/review/review';
import { CautionLine, Page } from '@/design/Page';
import { ReviewScreen } from '@/features/review/ReviewScreen';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: 'Review' };

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
