import { SetPage } from '@/features/pieces';

export default function Page() {
  return <SetPage />;
}
