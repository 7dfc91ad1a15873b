import { FloorListPage } from '@/features/floor/FloorListPage';

export const metadata = { title: 'Floor', manifest: '/floor/manifest.webmanifest' };

export default FloorListPage;
