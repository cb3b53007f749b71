import { PrintTogetherPage } from '@/features/pieces';

export default function Page() {
  return <PrintTogetherPage />;
}
