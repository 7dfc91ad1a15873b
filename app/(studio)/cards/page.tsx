import type { Metadata } from 'next';
import { CardsPage } from '@/features/card/CardsPage';
import { teacherPage } from '@/server/network/guarded';

export const metadata: Metadata = { title: 'Set-up cards' };

export default teacherPage(CardsPage);
