import { redirect } from 'next/navigation';
import { Page } from '@/design/Page';
import { LinkButton } from '@/design/LinkButton';
import { findLastClass } from '@/features/review/lastClass';
import { teacherPage } from '@/server/network/guarded';

export const metadata = { title: 'Review' };

function LastReview() {
  const uid = findLastClass();
  if (uid !== null) redirect(`/review/${uid}`);
  return (
    <Page>
      <h1>Nothing to review yet</h1>
      <p>What a class showed is settled here once it has been held on the floor.</p>
      <LinkButton href="/floor">To the floor</LinkButton>
    </Page>
  );
}

export default teacherPage(LastReview);
