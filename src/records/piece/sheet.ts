import Joi from 'joi';
import { DEFAULT_OVERLAP_MM, MAX_PRINT_MM, PAPER_IDS, PLAIN_FORM, type PrintForm } from '@/core/sheet';
import type { Job, KeptProof, Motif, ShopOrder } from '@/core/stations';
import { colour, count, figure, instant, item, list, maybe, oneOf, section, whole, yesOrNo } from '../fields';
import { chosen, done, type Fields } from './field';

const MOST_COPIES = 60;
const MOST_PRICE = 1_000_000;
const marginMm = () => figure(0, MAX_PRINT_MM);
const edgeMm = () => figure(0, 60);
/** A share of the turned picture; a motif may reach a little past its crop. */
const motifShare = () => figure(-1, 2);

const motif = () =>
  item<Motif>({
    of: Joi.string().max(200).required(),
    rings: list(list(item<{ x: number; y: number }>({ x: motifShare(), y: motifShare() }), 2000).min(3), 200),
  });

const proof = () =>
  item<KeptProof>({
    at: instant(),
    go: yesOrNo(),
    mirroredRight: yesOrNo(),
    across: maybe(figure(0.5, 2)),
    along: maybe(figure(0.5, 2)),
    sizeUnread: maybe(oneOf('not-flat', 'no-edges', 'unclear')),
    page: whole(0, 1000),
    darknessKept: figure(0, 5),
    reasons: list(oneOf('mirrored', 'scale-across', 'scale-along', 'cut-off', 'pale', 'cast'), 8),
  });

const order = () =>
  item<ShopOrder>({
    number: Joi.string().max(40).required(),
    price: figure(0, MOST_PRICE),
    pages: count(1000),
    copies: count(1000),
    orderedAt: instant(),
    readyAt: instant(),
  });

export const SHEET: Fields<Job['sheet']> = {
  paper: chosen(() => oneOf(...PAPER_IDS), 'a4'),
  orientation: chosen(() => oneOf('auto', 'portrait', 'landscape'), 'auto'),
  margins: chosen(
    () =>
      section<Job['sheet']['margins']>({
        topMm: marginMm(),
        rightMm: marginMm(),
        bottomMm: marginMm(),
        leftMm: marginMm(),
      }),
    { topMm: 10, rightMm: 10, bottomMm: 10, leftMm: 10 },
  ),
  barMeasuredMm: done(() => maybe(figure(50, 150)), null),
  printedAt: done(() => maybe(instant()), null),
  custom: chosen(() => section<Job['sheet']['custom']>({ widthMm: figure(50, 1200), heightMm: figure(50, 1200) }), {
    widthMm: 210,
    heightMm: 297,
  }),
  overlapMm: chosen(() => edgeMm(), DEFAULT_OVERLAP_MM),
  form: chosen(
    () =>
      section<PrintForm>({
        parts: oneOf('skip', 'spread', 'each'),
        sides: oneOf('picture', 'mirror', 'solid'),
        sideColour: colour(),
        corners: oneOf('cut', 'fold'),
        seamMm: figure(0, 40),
        edge: oneOf('cut', 'torn', 'motif'),
        trimMm: edgeMm(),
        tornMm: edgeMm(),
        motifMm: edgeMm(),
      }),
    PLAIN_FORM,
  ),
  copies: chosen(() => count(MOST_COPIES), 1),
  motif: chosen(() => maybe(motif()), null, { samePictureOnly: true }),
  proof: done(() => maybe(proof()), null),
  order: done(() => maybe(order()), null),
};
