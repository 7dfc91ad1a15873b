import { headers } from 'next/headers';
import { notFound } from 'next/navigation';
import { bundleOf, findClass } from '@/server/floor';
import { bundleFor } from '@/server/floorBundle';
import { listOthers } from '@/server/floorJoin';
import { readRole } from '@/server/roles';
import { FloorScreen } from '@/ui/floor/FloorScreen';

export const metadata = { title: 'Floor', manifest: '/floor/manifest.webmanifest' };

interface FloorPageProps {
  readonly params: Promise<{ readonly uid: string }>;
}

export default async function FloorClassPage({ params }: FloorPageProps) {
  const row = findClass((await params).uid);
  if (row === null) notFound();
  const role = readRole(await headers());
  const bundle = bundleOf(row);
  const others = role === 'teacher' ? listOthers(bundle) : [];
  return <FloorScreen key={row.uid} bundle={bundleFor(role, bundle)} role={role} others={others} />;
}
