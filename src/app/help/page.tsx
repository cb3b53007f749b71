import { HelpPage } from '@/features/help';

export default function Page() {
  return <HelpPage />;
}
