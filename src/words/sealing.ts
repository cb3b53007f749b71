import type { SheenId } from '@/core/craft';
import type { SealerChoice, SealerReason } from '@/core/seal';
import { SEALER_WORDS, SHEEN_WORDS } from './craft';

/** What speaks for a sealer that suits, as sentences, or against one that doesn’t, as a list. */
export const sealerReasons = ({ sealer, suits, reasons }: SealerChoice, sheen: SheenId): string =>
  reasons.map((reason) => reasonFor(reason, SEALER_WORDS[sealer.id].note, sheen)).join(suits ? ' ' : ', ');

function reasonFor(reason: SealerReason, note: string, sheen: SheenId): string {
  switch (reason) {
    case 'as-noted':
      return note;
    case 'sealed-by-tape':
      return 'The decal lies under its own tape: nothing need go over it.';
    case 'yellows':
      return 'Yellows slightly.';
    case 'not-for-use':
      return 'not made for this use';
    case 'only-fabric-goes-bare':
      return 'only canvas and cloth go without';
    case 'not-in-sheen':
      return `does not come in ${SHEEN_WORDS[sheen].inText}`;
    case 'too-soft':
      return 'too soft for the wear';
    case 'covers-picture':
      return 'the binder is white: it would cover the picture';
  }
}
