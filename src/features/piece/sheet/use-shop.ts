import { useState } from 'react';
import type { ProofVerdict } from '@/core/proof';
import type { Failure, Result } from '@/core/shared';
import { useSheetJob } from '@/features/sheets';
import { useNotice } from '@/features/shell';
import type { ShopOptions, ShopQuote } from '@/standins/copy-shop';
import { askProof, askQuote } from '@/standins/copy-shop/client';
import { useClock } from '@/ui';
import type { FailureCode } from '@/words';
import { say } from '@/words/say';
import { checkProof } from '@/workers/proof/client';
import { useOpenPiece } from '../piece-context';
import { keptProof } from './proof-part';
import type { SheetMaking } from './use-sheet';

export interface ShopOffer {
  quote: ShopQuote;
  pdf: Blob;
}

/** What is asked of the copy shop, and what it answered. */
export function useShop(making: SheetMaking) {
  const { piece, page, changeAll } = useOpenPiece();
  const clock = useClock();
  const notice = useNotice();
  const reading = useSheetJob();
  const [options, setOptions] = useState<ShopOptions>({ copies: 1, colour: true, paper: 'bond-80', fit: false });
  const [offer, setOffer] = useState<ShopOffer | null>(null);
  const [refusal, setRefusal] = useState<Failure<FailureCode> | null>(null);
  const [proof, setProof] = useState<Blob | null>(null);
  const [waiting, setWaiting] = useState(false);

  async function settle<T>(answer: Promise<Result<T, FailureCode>>, then: (value: T) => void) {
    setWaiting(true);
    const result = await answer;
    setWaiting(false);
    setRefusal(result.ok ? null : result.error);
    if (result.ok) then(result.value);
  }
  return {
    options,
    offer,
    refusal,
    proof,
    waiting,
    busy: waiting || making.progress !== null,
    isReading: reading.progress !== null,
    /** Other options want another offer. */
    set: (patch: Partial<ShopOptions>) => {
      setOptions({ ...options, ...patch });
      setOffer(null);
      setRefusal(null);
    },
    ask: () =>
      making.withPdf((bytes) => {
        const pdf = new Blob([bytes], { type: 'application/pdf' });
        void settle(askQuote(pdf, options, clock()), (quote) => setOffer({ quote, pdf }));
      }),
    accept: ({ quote: { number, price, pages, copies, readyAt } }: ShopOffer) => {
      changeAll(
        {
          sheet: { order: { number, price, pages, copies, orderedAt: clock(), readyAt } },
          keep: { prices: { ...piece.keep.prices, print: price } },
        },
        say`ordered at the copy shop`,
      );
      notice({ text: say`Ordered: ${number}. Its price is in what the piece costs.` });
    },
    look: ({ pdf }: ShopOffer) => void settle(askProof(pdf, options, page), setProof),
    read: (file: Blob) => {
      const sent = making.previewOrder();
      if (sent)
        reading.run(
          (onProgress) => checkProof(file, sent, onProgress),
          (verdict: ProofVerdict) =>
            changeAll({ sheet: { proof: keptProof(verdict, clock()) } }, say`proof of the shop read`),
        );
    },
  };
}
export type Shop = ReturnType<typeof useShop>;
