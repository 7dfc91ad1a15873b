'use client';

import { Button, Group, Modal, NativeSelect, Text } from '@mantine/core';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import { plumbAddress } from './address';
import type { PlumbView } from './read';

interface WhoPickerProps {
  readonly view: Pick<PlumbView, 'person' | 'people' | 'isWhoSaid'>;
  /** Somebody’s own picture or clip is open: it goes with them. */
  readonly isHolding: boolean;
  /** What Plumb was opened for: the same for whoever is chosen. */
  readonly query: Readonly<Record<string, string>>;
}

/** Whose lines are read. What is open is nobody else’s: it is put away first, and not unasked. */
export function WhoPicker({ view, isHolding, query }: WhoPickerProps) {
  const router = useRouter();
  const [next, setNext] = useState<string | null>(null);
  const go = (id: string) => router.push(plumbAddress(id, query));
  const nameOf = (id: string | null) => view.people.find((one) => String(one.id) === id)?.name;
  return (
    <>
      <NativeSelect
        className="no-print"
        label="Who"
        value={view.isWhoSaid ? String(view.person.id) : ''}
        data={[
          ...(view.isWhoSaid ? [] : [{ value: '', label: 'choose …', disabled: true }]),
          ...view.people.map(({ id, name }) => ({ value: String(id), label: name })),
        ]}
        onChange={({ currentTarget: { value } }) => (isHolding ? setNext(value) : go(value))}
      />
      <Modal
        opened={next !== null}
        onClose={() => setNext(null)}
        title={`Go to ${nameOf(next) ?? 'somebody else'}?`}
      >
        <Text mb="md">
          What is open here, with its marks, is put away: it is not taken for a picture of somebody
          else. Keep what you need of it first.
        </Text>
        <Group>
          <Button variant="default" onClick={() => setNext(null)} data-autofocus>
            Stay here
          </Button>
          <Button
            onClick={() => {
              if (next !== null) go(next);
              setNext(null);
            }}
          >
            Put it away and go
          </Button>
        </Group>
      </Modal>
    </>
  );
}
