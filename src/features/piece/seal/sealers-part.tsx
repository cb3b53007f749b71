'use client';
import type { PiecePlan } from '@/core/stations';
import { SEALERS } from '@/core/craft';
import { ChooseButton, Fold, Part } from '@/ui';
import { SEALER_WORDS, sealerReasons } from '@/words';
import { say } from '@/words/say';
import { useOpenPiece } from '../piece-context';
import css from './seal.module.css';

type Offer = PiecePlan['seal']['choices'][number];

/** The sealers that suit, each with its reasons and to be chosen; and those that don't. */
export function SealersPart() {
  const { plan } = useOpenPiece();
  const { choices, sealing } = plan.seal;
  const unsuited = choices.filter(({ suits }) => !suits);
  return (
    <Part title={say`Sealers that suit`} folded={sealing ? SEALER_WORDS[sealing.sealer.id].inText : say`none chosen`}>
      <ul className={css.sealers}>
        {choices
          .filter(({ suits }) => suits)
          .map((offer) => (
            <OfferRow key={offer.sealer.id} offer={offer} />
          ))}
      </ul>
      <Fold summary={say`Not for this piece: ${unsuited.length} of ${SEALERS.length}`}>
        <ul className={css.others}>
          {unsuited.map((offer) => (
            <li key={offer.sealer.id}>
              {SEALER_WORDS[offer.sealer.id].name}: {sealerReasons(offer, plan.method.sheen)}
            </li>
          ))}
        </ul>
      </Fold>
    </Part>
  );
}

function OfferRow({ offer }: { offer: Offer }) {
  const { plan, change } = useOpenPiece();
  const { id } = offer.sealer;
  const isChosen = id === plan.seal.sealing?.sealer.id;
  const { name, inText } = SEALER_WORDS[id];
  return (
    <li data-chosen={isChosen}>
      <div>
        <b>{name}</b>
        <p>{sealerReasons(offer, plan.method.sheen)}</p>
      </div>
      <ChooseButton
        name={name}
        isChosen={isChosen}
        onChoose={() => change('seal', { sealer: id, coats: null }, inText)}
      />
    </li>
  );
}
