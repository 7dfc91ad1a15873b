import { notFound } from 'next/navigation';
import { readReview } from '@/server/review';
import { CautionLine, Page } from '@/ui/layout/Page';
import { ReviewScreen } from '@/ui/review/ReviewScreen';
import { teacherPage } from '@/server/guarded';

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
