import { Group, Title } from '@mantine/core';
import { Link } from '@/design/Link';
import type { Outcome } from '@/server/result';
import { LinkButton } from '@/design/LinkButton';
import { CautionLine, Page } from '@/design/Page';
import { StartDemo } from './StartDemo';

interface EmptyCourseProps {
  readonly startDemo?: () => Promise<Outcome>;
}

/** Shown while there is no course: begin with one's own, or look around in the made-up one. */
export function EmptyCourse({ startDemo }: EmptyCourseProps) {
  return (
    <Page>
      <Title order={1}>No course yet</Title>
      <p>
        Begin with your own: place and day, people, room, cupboard, what you have seen them do, and
        the first class is there. Each step can be left for later. Or look around first in a made-up
        studio with fourteen people and eight weeks of records; it can be emptied again at any time.
      </p>
      <Group>
        <LinkButton href="/begin">Begin with my own</LinkButton>
        {startDemo && <StartDemo startDemo={startDemo} />}
      </Group>
      <p>
        This computer is used by others too? Set a{' '}
        <Link href="/settings#desk">passphrase for the desk</Link> first.
      </p>
      <CautionLine />
    </Page>
  );
}
