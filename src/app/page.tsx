import { TodayPage } from '@/features/today';

export default function Page() {
  return <TodayPage />;
}
