import { AheadPage } from '@/features/ahead';

export default function Page() {
  return <AheadPage />;
}
