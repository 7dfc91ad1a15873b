import { Group, Title } from '@mantine/core';
import { findStandingPlan, readClass } from '@/server/classViews';
import { readCourseParam } from '@/server/courseParam';
import { LinkButton } from '@/ui/layout/LinkButton';
import { Page } from '@/ui/layout/Page';
import { PaperPicker } from '@/ui/plan/PaperPicker';
import { PrintSheets } from '@/ui/plan/PrintSheets';
import { EmptyCourse } from '@/ui/tonight/EmptyCourse';
import { teacherPage } from '@/server/guarded';

export const metadata = { title: 'The class on paper' };

interface PrintPageProps {
  readonly searchParams: Promise<{ readonly course?: string | string[] }>;
}

async function PlanPrintPage({ searchParams }: PrintPageProps) {
  const view = readClass(readCourseParam((await searchParams).course) ?? null);
  if (view === null) return <EmptyCourse />;
  return (
    <Page>
      <Group justify="space-between" className="no-print" mb="sm">
        <Title order={1} size="1.6rem">
          The class on paper
        </Title>
        <Group gap="sm">
          <LinkButton href={`/plan?course=${view.course.id}`} variant="default">
            Back to the plan
          </LinkButton>
          <LinkButton href="/cards" variant="default">
            Full set-up cards
          </LinkButton>
          <PaperPicker />
        </Group>
      </Group>
      <PrintSheets view={view} plan={findStandingPlan(view)} />
    </Page>
  );
}

export default teacherPage(PlanPrintPage);
