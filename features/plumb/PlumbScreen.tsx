'use client';

import { Group, Loader, SegmentedControl, Title } from '@mantine/core';
import dynamic from 'next/dynamic';
import { patiently } from '@/design/patiently';
import { startTransition, useCallback, useState } from 'react';
import type { PlumbLook } from './look';
import type { PlumbView } from './read';
import { showProblem } from '@/design/notices';
import { StillPane } from './StillPane';
import { useDropped } from './useDropped';
import { WhoPicker } from './WhoPicker';
import classes from './plumb.module.css';

interface PlumbScreenProps {
  readonly view: PlumbView;
  /** The shape or the check that somebody came from. */
  readonly opened: PlumbLook;
}

const loading = () => <Loader aria-label="Loading" />;
// What is not looked at is not loaded.
const ClipPane = dynamic(
  patiently(() => import('./clip/ClipPane').then((one) => one.ClipPane)),
  { loading },
);
const CameraPane = dynamic(
  patiently(() => import('./camera/CameraPane').then((one) => one.CameraPane)),
  {
    loading,
  },
);

const ComparePane = dynamic(
  patiently(() => import('./compare/ComparePane').then((one) => one.ComparePane)),
  {
    loading,
  },
);

const looks = [
  { value: 'picture', label: 'Picture' },
  { value: 'clip', label: 'Clip' },
  { value: 'camera', label: 'Camera' },
  { value: 'compare', label: 'Compare' },
] as const;
type Look = (typeof looks)[number]['value'];

const notHere = 'A file is for Picture or Clip: open one of them, then drop it there.';

const whoFirst = 'Say first whose lines are read: a picture is measured by their lengths.';

/** What somebody has set marks on is still there when they come back from another look. */
const lasting = ['picture', 'clip'] as const satisfies readonly Look[];
const isLasting = (look: Look): look is (typeof lasting)[number] =>
  (lasting as readonly Look[]).includes(look);

/** Lines read from a picture, a clip or the camera, on this device. */
export function PlumbScreen({ view, opened }: PlumbScreenProps) {
  const [look, setLook] = useState<Look>(opened.opens);
  /** What is open follows what was chosen piece by piece: a pane is much to draw at once. */
  const [shown, setShown] = useState<Look>(look);
  const [begun, setBegun] = useState<readonly Look[]>([look]);
  const [held, setHeld] = useState<readonly Look[]>([]);
  const hold = useCallback(
    (one: Look, isHolding: boolean) =>
      setHeld((all) => [...all.filter((other) => other !== one), ...(isHolding ? [one] : [])]),
    [],
  );
  // What waits in the other looks would be lost with the page.
  useDropped(!view.isWhoSaid || !isLasting(shown), () =>
    showProblem(view.isWhoSaid ? notHere : whoFirst),
  );
  const open = (next: Look) => {
    setLook(next);
    startTransition(() => {
      setShown(next);
      setBegun((all) => (all.includes(next) ? all : [...all, next]));
    });
  };
  if (!view.isWhoSaid) {
    return (
      <>
        <Title order={1} size="1.7rem" mb="sm">
          Plumb
        </Title>
        <div className={classes.begin}>
          <h2>Whose lines are read?</h2>
          <p>Their lengths give a picture its scale, and what is kept of it is theirs.</p>
          <WhoPicker view={view} isHolding={false} query={opened.query} />
        </div>
      </>
    );
  }
  return (
    <>
      <Group justify="space-between" align="flex-end" mb="sm">
        <Group gap="lg" align="flex-end">
          <Title order={1} size="1.7rem">
            Plumb
          </Title>
          <SegmentedControl
            aria-label="Read from"
            value={look}
            data={[...looks]}
            onChange={(value) => open(value as Look)}
          />
        </Group>
        <WhoPicker view={view} isHolding={held.length > 0} query={opened.query} />
      </Group>
      {lasting
        .filter((one) => begun.includes(one))
        .map((one) => (
          <div key={one} hidden={one !== shown}>
            {pane(one, view, opened, one === shown, hold)}
          </div>
        ))}
      {!isLasting(shown) && pane(shown, view, opened, true, hold)}
    </>
  );
}

function pane(
  look: Look,
  view: PlumbView,
  opened: PlumbLook,
  isShown: boolean,
  onHold: (look: Look, isHolding: boolean) => void,
) {
  const own = { view, opened, isShown, onHold };
  switch (look) {
    case 'picture':
      return <StillPane {...own} />;
    case 'clip':
      return <ClipPane {...own} />;
    case 'camera':
      return <CameraPane view={view} opened={opened} />;
    case 'compare':
      return <ComparePane view={view} />;
  }
}
