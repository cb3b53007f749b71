'use client';
import { Button, LinearProgress } from '@mui/material';
import { useObjectUrl } from '@/features/shelf';
import { SHOP_NAME, type ShopOptions } from '@/standins/copy-shop';
import { ChoiceField, Fields, FigureField, NextRow, Note, Part, SelectField, Wide, dated, useUnits } from '@/ui';
import { sayWith } from '@/ui/say-with';
import { counted, sentenceFor } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import css from './sheet.module.css';
import { useShop, type Shop, type ShopOffer } from './use-shop';
import type { SheetMaking } from './use-sheet';

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
  const { order } = useOpenPiece().piece.sheet;
  const units = useUnits();
  const shop = useShop(making);
  return (
    <Part
      title={say`At the copy shop`}
      folded={order ? say`ordered, number ${order.number}` : say`simulated: ${SHOP_NAME}`}
      testId="copy-shop"
    >
      <div className={css.shop}>
        <Note>{say`A stand-in on this computer: nothing leaves it. Its machine is a little wrong, as they are.`}</Note>
        <ShopFields shop={shop} />
        {shop.refusal && (
          <p role="alert" className={css.refusal}>
            {sentenceFor(shop.refusal, units)}
          </p>
        )}
        {shop.offer && <Offer shop={shop} offer={shop.offer} />}
        {shop.proof && <Proof shop={shop} proof={shop.proof} />}
        {order && (
          <Note>{say`Ordered ${dated(order.orderedAt, 'd MMM HH:mm')}, number ${order.number}:
            ${order.price.toFixed(2)}, ready ${dated(order.readyAt, 'EEE d MMM HH:mm')}.`}</Note>
        )}
      </div>
    </Part>
  );
}

function ShopFields({ shop: { options, set, ask, busy } }: { shop: Shop }) {
  return (
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
  );
}

function Offer({ shop, offer }: { shop: Shop; offer: ShopOffer }) {
  const { page } = useOpenPiece();
  const { price, pages, copies, readyAt, notes } = offer.quote;
  return (
    <>
      <p data-testid="shop-offer" className={css.offer}>
        {sayWith`${(<b>{price.toFixed(2)}</b>)} for
          ${counted(pages * copies, 'page', 'pages')}, ready
          ${dated(readyAt, 'EEE d MMM HH:mm')}.`}
        {notes.includes('fits') && <> {say`It will be shrunk to fit: not at its size.`}</>}
      </p>
      <NextRow>
        <Button
          size="small"
          variant="contained"
          onClick={() => shop.accept(offer)}
          data-testid="shop-order"
        >{say`Order it`}</Button>
        <Button
          size="small"
          variant="outlined"
          onClick={() => shop.look(offer)}
          disabled={shop.waiting}
          data-testid="shop-proof"
        >{say`See a proof of page ${page + 1}`}</Button>
      </NextRow>
    </>
  );
}

/** What the shop's machine makes of the page, to be read back like a photo. */
function Proof({ shop, proof }: { shop: Shop; proof: Blob }) {
  const { page } = useOpenPiece();
  const shown = useObjectUrl(proof);
  if (!shown) return null;
  return (
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
          onClick={() => shop.read(proof)}
          disabled={shop.isReading}
          data-testid="read-shop-proof"
        >{say`Read it back`}</Button>
        {shop.isReading && <LinearProgress sx={{ flex: 1 }} aria-label={say`Reading the proof`} />}
      </NextRow>
    </>
  );
}
