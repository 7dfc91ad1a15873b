'use client';

import { Button, Group, Title } from '@mantine/core';
import { IconCalendar, IconCopy, IconDeviceMobile, IconPrinter } from '@tabler/icons-react';
import { Link } from '@/design/Link';
import { useRouter } from 'next/navigation';
import { useEffect, useState, useTransition } from 'react';
import { showProblem, showSaved } from '@/design/notices';

interface HomeBarProps {
  /** Address of the calendar file; null where several people are shown. */
  readonly calendar: string | null;
  readonly back: string;
  /** Address of the file for a phone; null where several people are shown. */
  readonly file: string | null;
  /** Address of the text to paste into a message; null where several people are shown. */
  readonly text: string | null;
}

const notHeard = 'The studio’s computer did not answer: what is on the screen may be out of date.';

/** What leaves the room is worked out anew at that moment: a caution may have come meanwhile. */
export function HomeBar({ calendar, back, text, file }: HomeBarProps) {
  const router = useRouter();
  const [isRefreshing, startRefresh] = useTransition();
  const [prints, setPrints] = useState(0);
  useEffect(() => {
    // Counted up within the refresh, so that it shows with the new page.
    if (prints > 0) window.print();
  }, [prints]);
  const ask = async (address: string) => {
    const response = await fetch(address, { cache: 'no-store' });
    if (!response.ok) throw new Error('not answered');
    return response.text();
  };
  const print = async () => {
    try {
      await ask(window.location.pathname);
    } catch {
      showProblem(notHeard);
      return;
    }
    startRefresh(() => {
      router.refresh();
      setPrints((count) => count + 1);
    });
  };
  const copy = async (address: string) => {
    try {
      await navigator.clipboard.writeText(await ask(address));
      showSaved('Copied: paste it into a message.');
    } catch {
      showProblem('The text could not be copied. Try again, or print it.');
    }
  };
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
            onClick={() => void copy(text)}
          >
            Copy as text
          </Button>
        )}
        {file !== null && (
          <Button
            component="a"
            href={file}
            variant="default"
            leftSection={<IconDeviceMobile size={18} />}
          >
            For the phone
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
        <Button
          leftSection={<IconPrinter size={18} />}
          loading={isRefreshing}
          onClick={() => void print()}
        >
          Print
        </Button>
      </Group>
    </Group>
  );
}
