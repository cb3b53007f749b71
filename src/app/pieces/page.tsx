import { PiecesPage } from '@/features/pieces';

export default function Page() {
  return <PiecesPage />;
}
