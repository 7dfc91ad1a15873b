'use client';

import { Group, Loader, NativeSelect, SegmentedControl, Title } from '@mantine/core';
import dynamic from 'next/dynamic';
import { patiently } from '@/design/patiently';
import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { ShapeId } from '@/core/shapes/postures';
import type { PlumbView } from './read';
import { StillPane } from './StillPane';

interface PlumbScreenProps {
  readonly view: PlumbView;
  /** The shape that is looked at, where somebody came from one. */
  readonly shape: ShapeId | null;
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

/** Lines read from a picture, a clip or the camera, on this device. */
export function PlumbScreen({ view, shape }: PlumbScreenProps) {
  const router = useRouter();
  const [look, setLook] = useState<Look>('picture');
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
            onChange={(value) => setLook(value as Look)}
          />
        </Group>
        <NativeSelect
          className="no-print"
          label="Who"
          value={String(view.person.id)}
          data={view.people.map(({ id, name }) => ({ value: String(id), label: name }))}
          onChange={({ currentTarget: { value } }) => router.push(`/plumb?person=${value}`)}
        />
      </Group>
      {pane(look, view, shape)}
    </>
  );
}

function pane(look: Look, view: PlumbView, shape: ShapeId | null) {
  switch (look) {
    case 'picture':
      return <StillPane view={view} shape={shape} />;
    case 'clip':
      return <ClipPane view={view} shape={shape} />;
    case 'camera':
      return <CameraPane view={view} />;
    case 'compare':
      return <ComparePane view={view} />;
  }
}
