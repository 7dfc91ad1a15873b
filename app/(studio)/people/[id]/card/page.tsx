import type { Metadata } from 'next';
import { CardPage } from '@/features/card/CardPage';
import { teacherPage } from '@/server/network/guarded';

export const metadata: Metadata = { title: 'Set-up card' };

export default teacherPage(CardPage);
