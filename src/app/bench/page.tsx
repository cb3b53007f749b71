import { BenchPage } from '@/features/bench';

export default function Page() {
  return <BenchPage />;
}
