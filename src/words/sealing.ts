import type { SheenId } from '@/core/craft';
import type { SealerChoice, SealerReason } from '@/core/seal';
import { SEALER_WORDS, SHEEN_WORDS } from './craft';
import { say } from './say';

/** What speaks for a sealer that suits, as sentences, or against one that doesn’t, as a list. */
export const sealerReasons = ({ sealer, suits, reasons }: SealerChoice, sheen: SheenId): string =>
  reasons.map((reason) => reasonFor(reason, SEALER_WORDS[sealer.id].note, sheen)).join(suits ? ' ' : ', ');

function reasonFor(reason: SealerReason, note: string, sheen: SheenId): string {
  switch (reason) {
    case 'as-noted':
      return note;
    case 'sealed-by-tape':
      return say`The decal lies under its own tape: nothing need go over it.`;
    case 'yellows':
      return say`Yellows slightly.`;
    case 'not-for-use':
      return say`not made for this use`;
    case 'only-fabric-goes-bare':
      return say`only canvas and cloth go without`;
    case 'not-in-sheen':
      return say`does not come in ${SHEEN_WORDS[sheen].inText}`;
    case 'too-soft':
      return say`too soft for the wear`;
    case 'covers-picture':
      return say`the gel or glue is white: it would cover the picture`;
  }
}
