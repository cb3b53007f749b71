import { useCallback } from 'react';
import type { Result } from '@/core/shared';
import { useUnits } from '@/ui';
import { sentenceFor, type FailureCode } from '@/words';
import { useNotice } from './notices';

/** Says a failure at the foot of the page. True where there was none. */
export function useReport(): (result: Result<unknown, FailureCode>) => boolean {
  const notice = useNotice();
  const units = useUnits();
  return useCallback(
    (result: Result<unknown, FailureCode>) => {
      if (!result.ok) notice({ text: sentenceFor(result.error, units), tone: 'error' });
      return result.ok;
    },
    [notice, units],
  );
}
