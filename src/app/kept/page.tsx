import { KeptPage } from '@/features/kept';

export default function Page() {
  return <KeptPage />;
}
