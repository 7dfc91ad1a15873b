import { notFound } from 'next/navigation';
import { bundleOf } from '@/server/running/floorBundle';
import { findClass } from '@/server/running/floor';
import { bundleFor } from '@/server/running/floorBundle';
import { listOthers } from '@/features/floor/joinClass';
import { askerOf } from '@/server/network/guarded';
import { classRole } from '@/server/running/floorRole';
import { FloorScreen } from '@/features/floor/FloorScreen';

export const metadata = { title: 'Floor', manifest: '/floor/manifest.webmanifest' };

interface FloorPageProps {
  readonly params: Promise<{ readonly uid: string }>;
}

export default async function FloorClassPage({ params }: FloorPageProps) {
  const role = classRole(await askerOf('class'));
  const row = findClass((await params).uid);
  if (row === null) notFound();
  const bundle = bundleOf(row);
  const others = role === 'teacher' ? listOthers(bundle) : [];
  return <FloorScreen key={row.uid} bundle={bundleFor(role, bundle)} role={role} others={others} />;
}
