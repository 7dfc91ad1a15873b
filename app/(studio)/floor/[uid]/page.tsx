import { notFound } from 'next/navigation';
import { bundleOf, findClass } from '@/server/floor';
import { bundleFor } from '@/server/floorBundle';
import { listOthers } from '@/server/floorJoin';
import { askerOf } from '@/server/guarded';
import { classRole } from '@/server/floorRole';
import { FloorScreen } from '@/ui/floor/FloorScreen';

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
