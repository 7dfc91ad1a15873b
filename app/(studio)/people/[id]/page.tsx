import type { Metadata } from 'next';
import { PersonPage } from '@/features/person/PersonPage';
import { teacherPage } from '@/server/network/guarded';

// The same title for everyone: names stay out of the history of a shared tablet.
export const metadata: Metadata = { title: 'Person' };

export default teacherPage(PersonPage);
