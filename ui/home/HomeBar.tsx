'use client';

import { Button, Group, Title } from '@mantine/core';
import { IconCalendar, IconCopy, IconPrinter } from '@tabler/icons-react';
import Link from 'next/link';
import { showProblem, showSaved } from '@/ui/person/notices';

interface HomeBarProps {
  /** Address of the calendar file; null where several people are shown. */
  readonly calendar: string | null;
  readonly back: string;
  /** To paste into a message. */
  readonly text: string | null;
}

export function HomeBar({ calendar, back, text }: HomeBarProps) {
  return (
    <Group justify="space-between" className="no-print" mb="md">
      <Title order={1} size="1.7rem">
        Home practice
      </Title>
      <Group gap="sm">
        <Button component={Link} href={back} variant="default">
          Back
        </Button>
        {text !== null && (
          <Button
            variant="default"
            leftSection={<IconCopy size={18} />}
            onClick={() =>
              navigator.clipboard.writeText(text).then(
                () => showSaved('Copied: paste it into a message.'),
                () => showProblem('The text could not be copied. Open it as a file instead.'),
              )
            }
          >
            Copy as text
          </Button>
        )}
        {calendar !== null && (
          <Button
            component="a"
            href={calendar}
            variant="default"
            leftSection={<IconCalendar size={18} />}
          >
            Calendar
          </Button>
        )}
        <Button leftSection={<IconPrinter size={18} />} onClick={() => window.print()}>
          Print
        </Button>
      </Group>
    </Group>
  );
}
