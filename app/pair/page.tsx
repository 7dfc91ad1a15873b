import { PairScreen } from '@/features/settings/PairScreen';

export const metadata = { title: 'Join' };

export default function PairPage() {
  return <PairScreen />;
}
