'use client';
import { Button, LinearProgress } from '@mui/material';
import { useState } from 'react';
import type { ProofVerdict } from '@/core/proof';
import type { Failure, Result } from '@/core/shared';
import { useNotice } from '@/features/shell';
import { useObjectUrl } from '@/features/shelf';
import { useSheetJob } from '@/features/sheets';
import { SHOP_NAME, type ShopOptions, type ShopQuote } from '@/standins/copy-shop';
import { askProof, askQuote } from '@/standins/copy-shop/client';
import { ChoiceField, Fields, FigureField, NextRow, Note, SelectField, Wide, useClock, useUnits, dated } from '@/ui';
import { sentenceFor, type FailureCode, counted } from '@/words';
import { checkProof } from '@/workers/proof/client';
import { useOpenPiece } from '../piece-context';
import { keptProof } from './proof-part';
import type { SheetMaking } from './use-sheet';
import css from './sheet.module.css';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

const PAPERS: readonly { id: ShopOptions['paper']; name: string }[] = [
  { id: 'bond-80', name: say`Bond, 80 g` },
  { id: 'bond-120', name: say`Bond, 120 g` },
  { id: 'liner', name: say`Release liner` },
];

/**
 * A simulated shop takes the PDF, names its price and time or why not, and shows what its machine makes of it; the
 * proof is read back like a photo.
 */
export function ShopPart({ making }: { making: SheetMaking }) {
  const { piece, page, changeAll } = useOpenPiece();
  const units = useUnits();
  const clock = useClock();
  const notice = useNotice();
  const reading = useSheetJob();
  const [options, setOptions] = useState<ShopOptions>({ copies: 1, colour: true, paper: 'bond-80', fit: false });
  const [offer, setOffer] = useState<{ quote: ShopQuote; pdf: Blob } | null>(null);
  const [refusal, setRefusal] = useState<Failure<FailureCode> | null>(null);
  const [proof, setProof] = useState<Blob | null>(null);
  const [waiting, setWaiting] = useState(false);
  const shown = useObjectUrl(proof);
  const { order } = piece.sheet;
  const set = (patch: Partial<ShopOptions>) => {
    setOptions({ ...options, ...patch });
    setOffer(null);
    setRefusal(null);
  };

  async function settle<T>(answer: Promise<Result<T, FailureCode>>, then: (value: T) => void) {
    setWaiting(true);
    const result = await answer;
    setWaiting(false);
    setRefusal(result.ok ? null : result.error);
    if (result.ok) then(result.value);
  }
  const ask = () =>
    making.withPdf((bytes) => {
      const pdf = new Blob([bytes], { type: 'application/pdf' });
      void settle(askQuote(pdf, options, clock()), (quote) => setOffer({ quote, pdf }));
    });
  const accept = ({ quote }: { quote: ShopQuote }) => {
    const { number, price, pages, copies, readyAt } = quote;
    changeAll(
      {
        sheet: { order: { number, price, pages, copies, orderedAt: clock(), readyAt } },
        keep: { prices: { ...piece.keep.prices, print: price } },
      },
      say`ordered at the copy shop`,
    );
    notice({ text: say`Ordered: ${number}. Its price is in what the piece costs.` });
  };
  const look = (pdf: Blob) => void settle(askProof(pdf, options, page), setProof);
  const read = (file: Blob) => {
    const sent = making.previewOrder();
    if (sent)
      reading.run(
        (onProgress) => checkProof(file, sent, onProgress),
        (verdict: ProofVerdict) =>
          changeAll({ sheet: { proof: keptProof(verdict, clock()) } }, say`proof of the shop read`),
      );
  };
  const busy = waiting || making.progress !== null;

  return (
    <details className={css.more} data-testid="copy-shop">
      <summary>{say`At the copy shop (simulated): ${SHOP_NAME}`}</summary>
      <div className={css.shop}>
        <Note>{say`A stand-in on this computer: nothing leaves it. Its machine is a little wrong, as they are.`}</Note>
        <Fields>
          <FigureField
            label={say`Copies`}
            value={options.copies}
            whole
            min={1}
            max={99}
            onCommit={(copies) => set({ copies: copies ?? 1 })}
          />
          <SelectField
            label={say`Paper`}
            value={options.paper}
            options={PAPERS}
            onCommit={(paper) => set({ paper })}
            testId="shop-paper"
          />
          <ChoiceField
            label={say`Colour`}
            value={options.colour ? 'yes' : 'no'}
            options={[
              { id: 'yes', name: say`Colour` },
              { id: 'no', name: say`Grey` },
            ]}
            onCommit={(colour) => set({ colour: colour === 'yes' })}
          />
          <ChoiceField
            label={say`Scaling`}
            value={options.fit ? 'fit' : 'true'}
            options={[
              { id: 'true', name: '100 %' },
              { id: 'fit', name: say`Fit to page` },
            ]}
            onCommit={(fit) => set({ fit: fit === 'fit' })}
          />
          <Wide>
            <NextRow>
              <Button
                size="small"
                variant="outlined"
                onClick={ask}
                disabled={busy}
                data-testid="shop-quote"
              >{say`Ask for price and time`}</Button>
              {busy && <LinearProgress sx={{ flex: 1 }} aria-label={say`The shop is looking at it`} />}
            </NextRow>
          </Wide>
        </Fields>
        {refusal && (
          <p role="alert" className={css.refusal}>
            {sentenceFor(refusal, units)}
          </p>
        )}
        {offer && (
          <>
            <p data-testid="shop-offer" className={css.offer}>
              {sayWith`${(<b>{offer.quote.price.toFixed(2)}</b>)} for
                ${counted(offer.quote.pages * offer.quote.copies, 'page', 'pages')}, ready
                ${dated(offer.quote.readyAt, 'EEE d MMM HH:mm')}.`}
              {offer.quote.notes.includes('fits') && <> {say`It will be shrunk to fit: not at its size.`}</>}
            </p>
            <NextRow>
              <Button
                size="small"
                variant="contained"
                onClick={() => accept(offer)}
                data-testid="shop-order"
              >{say`Order it`}</Button>
              <Button
                size="small"
                variant="outlined"
                onClick={() => look(offer.pdf)}
                disabled={waiting}
                data-testid="shop-proof"
              >{say`See a proof of page ${page + 1}`}</Button>
            </NextRow>
          </>
        )}
        {proof && shown && (
          <>
            <img
              src={shown}
              alt={say`Proof of page ${page + 1} from the copy shop`}
              className={css.proofPicture}
              data-testid="shop-proof-picture"
            />
            <NextRow>
              <Button
                size="small"
                variant="outlined"
                onClick={() => read(proof)}
                disabled={reading.progress !== null}
                data-testid="read-shop-proof"
              >{say`Read it back`}</Button>
              {reading.progress !== null && <LinearProgress sx={{ flex: 1 }} aria-label={say`Reading the proof`} />}
            </NextRow>
          </>
        )}
        {order && (
          <Note>{say`Ordered ${dated(order.orderedAt, 'd MMM HH:mm')}, number ${order.number}:
            ${order.price.toFixed(2)}, ready ${dated(order.readyAt, 'EEE d MMM HH:mm')}.`}</Note>
        )}
      </div>
    </details>
  );
}
