/**
 * From the picture laid flat to what is printed and where it lands. The picture lies on a plane of its own: the face
 * itself for most blanks, the face with its gaps closed where the picture is spread over parts, one part where each
 * carries the whole picture, the front where a canvas's sides are mirrored or solid, the unrolled side of a tapered
 * vessel. Which of these holds is the blank's own layout; its shape's name is never asked for.
 */
import {
  insideMargins,
  onBlank,
  rectRing,
  ringsBox,
  uniteRings,
  type Blank,
  type MarginsMm,
  type RectMm,
} from '@/core/shape';
import { bentBlock } from './bent';
import { edged, finished, motifRings } from './edges';
import { closedParts, eachBlocks, spreadBlocks } from './parts';
import { plainBlock } from './plain';
import {
  boxOf,
  moved,
  type FaceView,
  type FormInput,
  type FormedPrint,
  type PrintBlock,
  type PrintForm,
  type RawBlock,
} from './print-form';
import { sidedBlock } from './sides';

/** A block that is one picture and nothing else. */
export const wholeBlock = (rect: RectMm): PrintBlock => ({
  widthMm: rect.widthMm,
  heightMm: rect.heightMm,
  part: null,
  solids: [],
  bent: null,
  cut: null,
  folds: [],
  pictures: [
    { at: boxOf(rect), face: { xMm: rect.xMm, yMm: rect.yMm }, from: { xMm: 0, yMm: 0 }, flipX: false, flipY: false },
  ],
  views: [{ at: boxOf(rect), face: { xMm: rect.xMm, yMm: rect.yMm } }],
});

/** A block as it lies on paper: its own coordinates taken for the face's. */
export function onPaper(block: PrintBlock): PrintBlock {
  const { bent } = block;
  const moved = bent && {
    ...bent,
    origin: { xMm: 0, yMm: 0 },
    bend: {
      ...bent.bend,
      centre: { xMm: bent.bend.centre.xMm - bent.origin.xMm, yMm: bent.bend.centre.yMm - bent.origin.yMm },
    },
  };
  const flat = <S extends FaceView>(stretch: S): S => ({
    ...stretch,
    face: { xMm: stretch.at.xMm, yMm: stretch.at.yMm },
  });
  return { ...block, pictures: block.pictures.map(flat), solids: block.solids.map(flat), bent: moved };
}

/** The blocks as they lie on the face once they have landed, in the landed print's coordinates; laps fall away. */
export const asLanded = ({ blocks, rect }: Pick<FormedPrint, 'blocks' | 'rect'>): PrintBlock[] =>
  blocks.map((block) => ({
    ...block,
    pictures: block.pictures.filter((stretch) => !stretch.lap),
    views: block.views
      .filter((view) => !view.lap)
      .map(({ at, face }) => ({ at: moved({ ...at, ...face }, -rect.xMm, -rect.yMm), face })),
  }));

/** Where on the plane the picture may lie; null where the margins leave nothing. */
export function pictureWindow(blank: Blank, form: PrintForm, margins: MarginsMm): RectMm | null {
  const { layout } = blank;
  if (layout.kind === 'bent') return insideMargins(layout.bend.plane, margins);
  if (layout.kind === 'sides' && form.sides !== 'picture') {
    const inside = insideMargins(blank.front, margins);
    return inside && moved(inside, blank.front.xMm, blank.front.yMm);
  }
  if (layout.kind === 'parts' && form.parts === 'spread')
    return insideMargins(closedParts(blank, layout.along).size, margins);
  if (layout.kind === 'parts' && form.parts === 'each') return insideMargins(blank.parts[0]!.box, margins);
  return insideMargins(blank, margins);
}

/**
 * @param place the picture on its plane
 * @param layers boxes on the face of what is printed with it
 * @param motif outline of what is not white, in shares of the placed picture; null where it was not asked for or is not
 * known
 */
export function formPrint(
  blank: Blank,
  form: PrintForm,
  place: RectMm,
  layers: readonly RectMm[],
  motif: readonly (readonly { x: number; y: number }[])[] | null,
): FormedPrint {
  const raw = rawBlocks(blank, { form, place, layers });
  const ground = raw.blocks.flatMap(({ block, reach }) =>
    block.bent
      ? [reach]
      : block.views.filter((view) => !view.lap).map((view) => rectRing({ ...view.at, ...view.face })),
  );
  const onFace = onBlank(blank, raw.touching ? uniteRings(ground) : ground);
  const { rings: landed, changed } = edged(
    onFace,
    form,
    motifRings(
      raw.blocks.map(({ block }) => block),
      place,
      motif,
    ),
  );
  const rect = raw.blocks.length === 1 && raw.blocks[0]!.whole ? raw.blocks[0]!.whole : ringsBox(ground);
  return {
    rect,
    landed,
    shaped: changed || blank.layout.kind === 'bent',
    blocks: raw.blocks.map(({ block, reach }) => finished(blank, form, block, landed, reach)),
  };
}

/** The blocks of a blank's layout, and whether they touch on the face. */
function rawBlocks(blank: Blank, input: FormInput): { blocks: RawBlock[]; touching: boolean } {
  const { layout } = blank;
  const { form } = input;
  if (layout.kind === 'bent') return { blocks: [bentBlock(blank, input, layout)], touching: false };
  if (layout.kind === 'sides' && form.sides !== 'picture')
    return { blocks: [sidedBlock(blank, input, layout.sideMm)], touching: true };
  if (layout.kind === 'parts' && form.parts === 'spread')
    return { blocks: spreadBlocks(blank, input, layout.along), touching: false };
  if (layout.kind === 'parts' && form.parts === 'each') return { blocks: eachBlocks(blank, input), touching: false };
  return { blocks: [plainBlock(blank, input)], touching: false };
}
