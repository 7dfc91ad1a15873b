import { headers } from 'next/headers';
import { notFound, redirect } from 'next/navigation';
import { readAsker } from '@/server/network/asker';
import { readCopies } from '@/server/copies/schedule';
import { databaseFile, findTrouble } from '@/server/database';
import { TroubleScreen } from '@/features/copies/TroubleScreen';

export const metadata = { title: 'The studio cannot be opened' };
export const dynamic = 'force-dynamic';

/** Instead of every page, while there is no sound studio: what is wrong, and the copies. */
export default async function TroublePage() {
  const { isInTrouble } = readAsker(await headers());
  const trouble = findTrouble();
  if (trouble === null) redirect('/');
  if (isInTrouble !== true) notFound();
  return (
    <TroubleScreen
      words={trouble.message}
      kind={trouble.kind}
      file={databaseFile()}
      copies={readCopies().copies}
    />
  );
}
