/**
 * What a proof says about the print. Tolerances by bench practice: a tile join or a frame shows half a millimetre in a
 * hundred, a ruler's reading too; toner that lost a third of its darkness moves a pale picture.
 */
export type ProofReason = 'mirrored' | 'scale-across' | 'scale-along' | 'cut-off' | 'pale' | 'cast';
/**
 * Why the size can't be told: the page bows, neither its four edges, sure to be its own, nor a scan's density say how
 * large it is, or too much of it is lost in light or blur.
 */
export type SizeUnread = 'not-flat' | 'no-edges' | 'unclear';
export type PageSide = 'left' | 'right' | 'top' | 'bottom';

export interface ProofReading {
  /** Which page of the pack it is, 0-based. */
  page: number;
  /** The page came out turned over, left for right, against what was sent. */
  flipped: boolean;
  /**
   * Size on paper against what was sent: 1 is right. Along and across the page as it is fed upright; null where it can't
   * be told.
   */
  across: number | null;
  along: number | null;
  sizeUnread: SizeUnread | null;
  /** Turn of the photo against the page, degrees clockwise. */
  turnDeg: number;
  /** How much of the sheet's darkness came out: 1 is all of it. */
  darknessKept: number;
  /** Red, green, blue against their mean: 0 is neutral; above 0 the proof is lighter there. */
  cast: readonly [number, number, number];
  cutOff: readonly PageSide[];
  /** How dark the page's printed parts are in the mean: pale ones tell little of colour. */
  inked: number;
  /** How sure the reading is, 0–1. */
  match: number;
}

export interface ProofVerdict extends ProofReading {
  go: boolean;
  reasons: readonly ProofReason[];
}

const SCALE_TOLERANCE = 0.005;
const DARKNESS_LEAST = 0.62;
const CAST_MOST = 0.12;
/** Paler pages than this show a cast of the light as one of the toner. */
const INKED_ENOUGH = 0.4;

const isOff = (size: number | null): boolean => size !== null && Math.abs(size - 1) > SCALE_TOLERANCE;
const castMost = ({ inked }: ProofReading): number => CAST_MOST * Math.max(1, INKED_ENOUGH / Math.max(0.1, inked));

export function judgeProof(reading: ProofReading): ProofVerdict {
  const reasons: ProofReason[] = [
    ...(reading.flipped ? ['mirrored' as const] : []),
    ...(isOff(reading.across) ? ['scale-across' as const] : []),
    ...(isOff(reading.along) ? ['scale-along' as const] : []),
    ...(reading.cutOff.length > 0 ? ['cut-off' as const] : []),
    ...(reading.darknessKept < DARKNESS_LEAST ? ['pale' as const] : []),
    ...(Math.max(...reading.cast) - Math.min(...reading.cast) > castMost(reading) ? ['cast' as const] : []),
  ];
  return { ...reading, reasons, go: reasons.length === 0 && reading.sizeUnread === null };
}
