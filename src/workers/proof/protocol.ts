import type { ExpectedPage, ProofCode, ProofVerdict } from '@/core/proof';
import type { Result } from '@/core/shared';

interface ProofOrder {
  photo: Blob;
  pages: readonly ExpectedPage[];
}
export type ProofJobCode = ProofCode | 'picture-broken' | 'proof-failed';

export interface ProofJob {
  read(order: ProofOrder): Promise<Result<ProofVerdict, ProofJobCode>>;
}
