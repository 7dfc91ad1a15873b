import { headers } from 'next/headers';
import { notFound } from 'next/navigation';
import { bundleOf, findClass } from '@/server/floor';
import { bundleFor } from '@/server/floorBundle';
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
  return <FloorScreen key={row.uid} bundle={bundleFor(role, bundleOf(row))} role={role} />;
}
