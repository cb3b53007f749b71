import { lightnessOf } from '@/core/colour';
import type { RectMm } from '@/core/shape';
import { useOpenPiece } from '../piece-context';
import { useEdgeColour } from './use-edge-colour';

/** A paler edge is no toner: there is nothing to match, and no rim. */
const LIGHTEST_RIM = 88;
/** A rim this share of the smaller side hides an edge, within what a sponge lays. */
const RIM = { share: 0.025, leastMm: 3, mostMm: 12 };
const rimWidth = ({ widthMm, heightMm }: RectMm): number =>
  Math.min(RIM.mostMm, Math.max(RIM.leastMm, RIM.share * Math.min(widthMm, heightMm)));

export interface Rim {
  colour: string;
  widthMm: number;
}

/** The rim that goes with the picture's own edge; null where there is none to paint. */
export function useRim(): Rim | null {
  const { piece, plan, previewUrl } = useOpenPiece();
  const { print } = plan.surface;
  const colour = useEdgeColour(previewUrl, print?.crop ?? piece.picture.crop);
  const isOffered = plan.mend.repairs.some(({ id }) => id === 'rim');
  if (!isOffered || !print || !colour || lightnessOf(colour) >= LIGHTEST_RIM) return null;
  return { colour, widthMm: rimWidth(print.rect) };
}
