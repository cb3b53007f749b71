import { Suspense } from 'react';
import { FaultsPage } from '@/features/faults';

export default function Page() {
  return (
    <Suspense>
      <FaultsPage />
    </Suspense>
  );
}
