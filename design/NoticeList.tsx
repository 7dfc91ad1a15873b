'use client';

import dynamic from 'next/dynamic';
import { patiently } from './patiently';

const Notifications = dynamic(
  patiently(() => import('@mantine/notifications').then((one) => one.Notifications)),
  { ssr: false },
);

/** Where notices are shown. It comes after the page; what is said before then waits for it. */
export const NoticeList = () => <Notifications position="bottom-right" />;
