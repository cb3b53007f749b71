import { StashPage } from '@/features/stash';

export default function Page() {
  return <StashPage />;
}
