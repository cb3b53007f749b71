/**
 * From the picture laid flat to what is printed and where it lands. The picture lies on a plane of its own: the face itself for most blanks, the face with its gaps closed where
 * the picture is spread over slats, one front where each carries the whole picture, the front where a canvas's sides are mirrored or solid, the unrolled side of a tapered vessel.
 * What is printed comes in blocks, each one piece of paper; a block's stretches say which part of the picture lies where on it and where that lands. Millimetres, as it lands, not mirrored.
 */
import { bendPoint, bendRect, insideMargins, intersectRings, intersection, movedRing, offsetRings, onBlank, rectRing, ringsBox, signedAreaMm2, subtractRings, uniteRings, unionRect, type Bend, type BentBlock, type Blank, type MarginsMm, type PointMm, type RectMm, type Ring, type SizeMm } from '@/core/shape';
import type { Line } from './layout';
import { tornRing } from './torn-edge';

export type PartsWay = 'skip' | 'spread' | 'each';
export type SidesWay = 'picture' | 'mirror' | 'solid';
export type CornersWay = 'cut' | 'fold';
export type EdgeWay = 'cut' | 'torn' | 'motif';

/** What the crafter decides about the print's form. */
export interface PrintForm {
  /** Slats and drawer fronts: what lies over a gap is skipped, the picture is spread, or each part carries the whole picture. */
  parts: PartsWay;
  /** Sides of a wrapped canvas. */
  sides: SidesWay;
  sideColour: string;
  corners: CornersWay;
  /** How far a print that goes all the way round laps over itself, mm. */
  seamMm: number;
  edge: EdgeWay;
  /** Cut this far inside the edge, mm. */
  trimMm: number;
  /** How far a torn edge wanders inwards, and how far a close cut stays away from the motif, mm. */
  tornMm: number;
  motifMm: number;
}

export const PLAIN_FORM: PrintForm = { parts: 'skip', sides: 'picture', sideColour: '#4a4a4a', corners: 'cut', seamMm: 6, edge: 'cut', trimMm: 0, tornMm: 5, motifMm: 2 };

/** Where the face's own coordinates lie on a block. A lap repeats the print's beginning and is glued over it. */
export interface FaceView { at: RectMm; face: PointMm; lap?: true }
/** A stretch of the picture, unscaled. `from` is its top left in the placed picture; flipped, it is read backwards. */
export interface PictureStretch extends FaceView { from: PointMm; flipX: boolean; flipY: boolean }
export interface PrintBlock extends SizeMm {
  /** Of several parts, which: 0-based; null where the print is one. */
  part: number | null;
  pictures: readonly PictureStretch[];
  solids: readonly FaceView[];
  views: readonly FaceView[];
  bent: BentBlock | null;
  /** Where to cut, with openings; null where it is cut along the block's own edges. */
  cut: readonly Ring[] | null;
  folds: readonly Line[];
}

export interface FormedPrint {
  /** Round all that lands, on the face. */
  rect: RectMm;
  /** What of the face the print covers once it is cut, torn or folded. */
  landed: readonly Ring[];
  /** The landed print has another edge than its rectangle on the blank. */
  shaped: boolean;
  blocks: readonly PrintBlock[];
}

const TOUCHES_MM = 0.6;
const WHOLE_ROUND = 0.9995;

const boxOf = (size: SizeMm): RectMm => ({ xMm: 0, yMm: 0, widthMm: size.widthMm, heightMm: size.heightMm });
const moved = (rect: RectMm, dx: number, dy: number): RectMm => ({ ...rect, xMm: rect.xMm + dx, yMm: rect.yMm + dy });
const hasParts = (blank: Blank): boolean => blank.shape.kind === 'slats' || blank.shape.kind === 'drawer-row';
const wrapped = (blank: Blank, form: PrintForm): number | null => (blank.shape.kind === 'wrapped-canvas' && form.sides !== 'picture' ? blank.shape.depthMm + blank.shape.tuckMm : null);

/** A block that is one picture and nothing else. */
export const wholeBlock = (rect: RectMm): PrintBlock => ({
  widthMm: rect.widthMm, heightMm: rect.heightMm, part: null, solids: [], bent: null, cut: null, folds: [],
  pictures: [{ at: boxOf(rect), face: { xMm: rect.xMm, yMm: rect.yMm }, from: { xMm: 0, yMm: 0 }, flipX: false, flipY: false }], views: [{ at: boxOf(rect), face: { xMm: rect.xMm, yMm: rect.yMm } }],
});

/** A block as it lies on paper: its own coordinates taken for the face's. */
export function onPaper(block: PrintBlock): PrintBlock {
  const { bent } = block;
  const moved = bent && { ...bent, origin: { xMm: 0, yMm: 0 }, bend: { ...bent.bend, centre: { xMm: bent.bend.centre.xMm - bent.origin.xMm, yMm: bent.bend.centre.yMm - bent.origin.yMm } } };
  const flat = <S extends FaceView>(stretch: S): S => ({ ...stretch, face: { xMm: stretch.at.xMm, yMm: stretch.at.yMm } });
  return { ...block, pictures: block.pictures.map(flat), solids: block.solids.map(flat), bent: moved };
}

/** The blocks as they lie on the face once they have landed, in the landed print's coordinates; laps fall away. */
export const asLanded = ({ blocks, rect }: Pick<FormedPrint, 'blocks' | 'rect'>): PrintBlock[] => blocks.map((block) => ({
  ...block, pictures: block.pictures.filter((stretch) => !stretch.lap),
  views: block.views.filter((view) => !view.lap).map(({ at, face }) => ({ at: moved({ ...at, ...face }, -rect.xMm, -rect.yMm), face })),
}));

/** Which way the print is formed on this blank: choices that don't concern it fall away. */
const wayOf = (blank: Blank, form: PrintForm): PartsWay => (hasParts(blank) ? form.parts : 'skip');

/** The parts of slats or fronts moved together, gaps closed. */
function closedParts(blank: Blank): { size: SizeMm; places: RectMm[] } {
  const along = blank.parts.length > 1 && blank.parts[1].box.xMm === blank.parts[0].box.xMm ? 'y' : 'x';
  let at = 0;
  const places = blank.parts.map(({ box }) => {
    const place = along === 'x' ? { ...box, xMm: at } : { ...box, yMm: at };
    at += along === 'x' ? box.widthMm : box.heightMm;
    return place;
  });
  const [last] = places.slice(-1);
  return { size: { widthMm: last.xMm + last.widthMm, heightMm: last.yMm + last.heightMm }, places };
}

/** Where on the plane the picture may lie; null where the margins leave nothing. */
export function pictureWindow(blank: Blank, form: PrintForm, margins: MarginsMm): RectMm | null {
  if (blank.bend) return insideMargins(blank.bend.plane, margins);
  if (wrapped(blank, form) !== null) {
    const inside = insideMargins(blank.front, margins);
    return inside && moved(inside, blank.front.xMm, blank.front.yMm);
  }
  const way = wayOf(blank, form);
  if (way === 'spread') return insideMargins(closedParts(blank).size, margins);
  if (way === 'each') return insideMargins(blank.parts[0].box, margins);
  return insideMargins(blank, margins);
}

/**
 * @param place the picture on its plane
 * @param layers boxes on the face of what is printed with it
 * @param motif outline of what is not white, in shares of the placed picture; null where it was not asked for or is not known
 */
export function formPrint(blank: Blank, form: PrintForm, place: RectMm, layers: readonly RectMm[], motif: readonly (readonly { x: number; y: number }[])[] | null): FormedPrint {
  const raw = rawBlocks(blank, form, place, layers);
  const ground = raw.blocks.flatMap(({ block, reach }) => (block.bent ? [reach] : block.views.filter((view) => !view.lap).map((view) => rectRing({ ...view.at, ...view.face }))));
  const onFace = onBlank(blank, raw.touching ? uniteRings(ground) : ground);
  const { rings: landed, changed } = edged(onFace, form, motifRings(raw.blocks.map(({ block }) => block), place, motif));
  const rect = raw.blocks.length === 1 && raw.blocks[0].whole ? raw.blocks[0].whole : ringsBox(ground);
  return { rect, landed, shaped: changed || blank.bend !== null, blocks: raw.blocks.map(({ block, reach }) => finished(blank, form, block, landed, reach)) };
}

interface RawBlock { block: Omit<PrintBlock, 'cut'>; whole: RectMm | null; reach: Ring }

function rawBlocks(blank: Blank, form: PrintForm, place: RectMm, layers: readonly RectMm[]): { blocks: RawBlock[]; touching: boolean } {
  const face = boxOf(blank);
  if (blank.bend) return { blocks: [bentBlock(blank.bend, form, place, layers, blank)], touching: false };
  const side = wrapped(blank, form);
  if (side !== null) return { blocks: [sidedBlock(blank, form.sides, place, side)], touching: true };
  const way = wayOf(blank, form);
  if (way === 'skip') {
    const rect = layers.length === 0 ? place : intersection(unionRect([place, ...layers]), face) ?? place;
    return { blocks: [plainBlock(blank, form, place, rect)], touching: false };
  }
  const onPlane = way === 'spread' ? closedParts(blank).places : blank.parts.map(() => boxOf(blank.parts[0].box));
  const pieces = blank.parts.map(({ box }, part) => {
    const [dx, dy] = [box.xMm - onPlane[part].xMm, box.yMm - onPlane[part].yMm];
    const picture = intersection(place, onPlane[part]);
    const own = layers.map((layer) => intersection(layer, box)).filter((rect) => rect !== null).map((rect) => moved(rect, -dx, -dy));
    const all = [...(picture ? [picture] : []), ...own];
    return { part, picture, rect: all.length > 0 ? unionRect(all) : null, dx, dy };
  }).filter((piece) => piece.rect !== null);
  const groups = way === 'each' ? pieces.map((piece) => [piece]) : [pieces];
  return {
    touching: false,
    blocks: groups.filter((group) => group.length > 0).map((group): RawBlock => {
      const rect = unionRect(group.map((piece) => piece.rect as RectMm));
      const at = (one: RectMm) => moved(one, -rect.xMm, -rect.yMm);
      return {
        whole: null, reach: [],
        block: {
          widthMm: rect.widthMm, heightMm: rect.heightMm, part: way === 'each' ? group[0].part : null, bent: null, solids: [], folds: [],
          pictures: group.flatMap(({ picture, dx, dy }) => (picture ? [{ at: at(picture), face: { xMm: picture.xMm + dx, yMm: picture.yMm + dy }, from: { xMm: picture.xMm - place.xMm, yMm: picture.yMm - place.yMm }, flipX: false, flipY: false }] : [])),
          views: group.map(({ rect: own, dx, dy }) => ({ at: at(own as RectMm), face: { xMm: (own as RectMm).xMm + dx, yMm: (own as RectMm).yMm + dy } })),
        },
      };
    }),
  };
}

/** Folds of the blank within a rectangle of its face, in that rectangle's own coordinates. */
const foldsIn = (blank: Blank, rect: RectMm): Line[] => blank.folds.map(({ x1, y1, x2, y2 }) => ({ x1: x1 - rect.xMm, y1: y1 - rect.yMm, x2: x2 - rect.xMm, y2: y2 - rect.yMm }));

/** One print as it lies on the face; round a whole cylinder it laps over its own beginning. */
function plainBlock(blank: Blank, form: PrintForm, place: RectMm, rect: RectMm): RawBlock {
  const round = blank.shape.kind === 'cylinder' && blank.shape.shareOfRound >= WHOLE_ROUND && rect.widthMm >= blank.widthMm - TOUCHES_MM && place.widthMm >= blank.widthMm - TOUCHES_MM;
  const seam = round ? form.seamMm : 0;
  const at = moved(place, -rect.xMm, -rect.yMm);
  const picture = { at, face: { xMm: place.xMm, yMm: place.yMm }, from: { xMm: 0, yMm: 0 }, flipX: false, flipY: false };
  const view = { at: boxOf(rect), face: { xMm: rect.xMm, yMm: rect.yMm } };
  const lapAt = { xMm: rect.widthMm, yMm: 0, widthMm: seam, heightMm: rect.heightMm };
  return {
    whole: rect, reach: [],
    block: {
      widthMm: rect.widthMm + seam, heightMm: rect.heightMm, part: null, bent: null, solids: [],
      pictures: seam > 0 ? [picture, { ...picture, at: { ...at, xMm: lapAt.xMm, widthMm: seam }, face: { xMm: rect.xMm, yMm: place.yMm }, lap: true }] : [picture],
      views: seam > 0 ? [view, { at: lapAt, face: view.face, lap: true }] : [view],
      folds: [...foldsIn(blank, rect), ...(seam > 0 ? [{ x1: lapAt.xMm, y1: 0, x2: lapAt.xMm, y2: rect.heightMm }] : [])],
    },
  };
}

/** A wrapped canvas whose sides mirror the picture's edge, or are one colour. */
function sidedBlock(blank: Blank, sides: SidesWay, place: RectMm, side: number): RawBlock {
  const { front } = blank;
  const touches = {
    left: place.xMm - front.xMm < TOUCHES_MM, top: place.yMm - front.yMm < TOUCHES_MM,
    right: front.xMm + front.widthMm - place.xMm - place.widthMm < TOUCHES_MM, bottom: front.yMm + front.heightMm - place.yMm - place.heightMm < TOUCHES_MM,
  };
  const [across, down] = [Math.min(side, place.widthMm), Math.min(side, place.heightMm)];
  const { widthMm: w, heightMm: h } = place;
  const columns = [...(touches.left ? [{ at: -across, size: across, from: 0, flip: true }] : []), { at: 0, size: w, from: 0, flip: false }, ...(touches.right ? [{ at: w, size: across, from: w - across, flip: true }] : [])];
  const rows = [...(touches.top ? [{ at: -down, size: down, from: 0, flip: true }] : []), { at: 0, size: h, from: 0, flip: false }, ...(touches.bottom ? [{ at: h, size: down, from: h - down, flip: true }] : [])];
  const [dx, dy] = [touches.left ? across : 0, touches.top ? down : 0];
  const stretches = rows.flatMap((row) => columns.map((column): PictureStretch => ({
    at: { xMm: column.at + dx, yMm: row.at + dy, widthMm: column.size, heightMm: row.size }, face: { xMm: place.xMm + column.at, yMm: place.yMm + row.at },
    from: { xMm: column.from, yMm: row.from }, flipX: column.flip, flipY: row.flip,
  })));
  const inner = (one: PictureStretch) => !one.flipX && !one.flipY;
  const rect: RectMm = { xMm: place.xMm - dx, yMm: place.yMm - dy, widthMm: dx + w + (touches.right ? across : 0), heightMm: dy + h + (touches.bottom ? down : 0) };
  return {
    whole: rect, reach: [],
    block: {
      widthMm: rect.widthMm, heightMm: rect.heightMm, part: null, bent: null, folds: foldsIn(blank, rect),
      pictures: sides === 'mirror' ? stretches : stretches.filter(inner), solids: sides === 'solid' ? stretches.filter((one) => !inner(one)) : [],
      views: [{ at: boxOf(rect), face: { xMm: rect.xMm, yMm: rect.yMm } }],
    },
  };
}

function bentBlock(bend: Bend, form: PrintForm, place: RectMm, layers: readonly RectMm[], blank: Blank): RawBlock {
  const round = blank.shape.kind === 'vessel' && blank.shape.shareOfRound >= WHOLE_ROUND && place.widthMm >= bend.plane.widthMm - TOUCHES_MM;
  const seam = round ? form.seamMm : 0;
  const ring = bendRect(bend, place);
  const paper = seam > 0 ? bendRect(bend, { ...place, widthMm: place.widthMm + seam }) : ring;
  const faceBox = unionRect([ringsBox([paper]), ...layers.map((layer) => intersection(layer, boxOf(blank))).filter((rect) => rect !== null)]);
  const end = seam > 0 ? bendRect(bend, { ...place, xMm: place.xMm + place.widthMm, widthMm: seam }) : [];
  const reach = layers.length === 0 ? ring : uniteRings([ring, ...layers.map(rectRing)])[0] ?? ring;
  const [top, bottom] = [end[0], end[end.length - 1]];
  return {
    whole: ringsBox([ring]), reach,
    block: {
      widthMm: faceBox.widthMm, heightMm: faceBox.heightMm, part: null, solids: [], pictures: [], views: [{ at: boxOf(faceBox), face: { xMm: faceBox.xMm, yMm: faceBox.yMm } }],
      bent: { bend, origin: { xMm: faceBox.xMm, yMm: faceBox.yMm }, place, seamMm: seam },
      folds: seam > 0 ? [{ x1: top.xMm - faceBox.xMm, y1: top.yMm - faceBox.yMm, x2: bottom.xMm - faceBox.xMm, y2: bottom.yMm - faceBox.yMm }] : [],
    },
  };
}

/** The motif's outline on the face, stretch by stretch. */
function motifRings(blocks: readonly Pick<PrintBlock, 'pictures' | 'bent'>[], place: RectMm, motif: readonly (readonly { x: number; y: number }[])[] | null): readonly Ring[] | null {
  if (!motif) return null;
  return blocks.flatMap(({ pictures, bent }) => (bent ? motif.map((ring) => ring.map(({ x, y }) => bendPoint(bent.bend, { xMm: place.xMm + x * place.widthMm, yMm: place.yMm + y * place.heightMm }))) : pictures.filter(({ flipX, flipY }) => !flipX && !flipY).flatMap(({ at, face, from }) => {
    const rings = motif.map((ring) => ring.map(({ x, y }) => ({ xMm: face.xMm + x * place.widthMm - from.xMm, yMm: face.yMm + y * place.heightMm - from.yMm })));
    return intersectRings(rings, [rectRing({ ...at, ...face })]);
  })));
}

/** What is left of the covered face once the print's edge is cut inside, torn, or cut round the motif. */
function edged(onFace: readonly Ring[], form: PrintForm, motif: readonly Ring[] | null): { rings: readonly Ring[]; changed: boolean } {
  const cut = form.trimMm > 0 ? offsetRings(onFace, -form.trimMm) : onFace;
  if (form.edge === 'motif' && motif && motif.length > 0) return { rings: intersectRings(offsetRings(motif, form.motifMm, 'round'), cut), changed: true };
  if (form.edge === 'torn' && form.tornMm > 0) {
    const torn = intersectRings(cut.map((ring) => tornRing(ring, form.tornMm)), cut);
    // Where two sides meet the line may cross itself: such a loop is a scrap.
    return { rings: torn.filter((ring) => Math.abs(signedAreaMm2(ring)) > form.tornMm ** 2), changed: true };
  }
  return { rings: cut, changed: form.trimMm > 0 };
}

function finished(blank: Blank, form: PrintForm, block: RawBlock['block'], landed: readonly Ring[], reach: Ring): PrintBlock {
  const box = boxOf(block);
  const own = block.bent && block.bent.seamMm > 0 ? seamed(block.bent, landed, reach) : landed;
  let rings = block.views.flatMap(({ at, face }) => {
    const [dx, dy] = [at.xMm - face.xMm, at.yMm - face.yMm];
    const mine = block.views.length === 1 && block.part === null ? own : intersectRings(own, [rectRing({ ...at, ...face })]);
    return mine.map((ring) => movedRing(ring, dx, dy));
  });
  const folds = [...block.folds];
  if (blank.shape.kind === 'wrapped-canvas' && form.corners === 'fold' && form.edge === 'cut') {
    rings = [rectRing(box)];
    folds.push(...cornerFolds(blank, block.views[0]));
  }
  const plain = rings.length === 1 && rings[0].length === 4 && Math.abs(Math.abs(signedAreaMm2(rings[0])) - box.widthMm * box.heightMm) < 0.01;
  return { ...block, folds, cut: plain ? null : rings };
}

/** A fan's cut line with its glue edge. */
const seamed = ({ bend, place, seamMm }: BentBlock, landed: readonly Ring[], reach: Ring): Ring[] =>
  uniteRings([...landed, ...subtractRings([bendRect(bend, { ...place, xMm: place.xMm + place.widthMm - 0.02, widthMm: seamMm + 0.02 })], [reach])]);

/** Folded corners: a crease from the front's corner out, halving the square. */
function cornerFolds(blank: Blank, { at, face }: FaceView): Line[] {
  const { xMm, yMm, widthMm, heightMm } = blank.front;
  const [dx, dy] = [at.xMm - face.xMm, at.yMm - face.yMm];
  const line = (x1: number, y1: number, x2: number, y2: number): Line => ({ x1: x1 + dx, y1: y1 + dy, x2: x2 + dx, y2: y2 + dy });
  const [right, bottom] = [xMm + widthMm, yMm + heightMm];
  return [line(xMm, yMm, 0, 0), line(right, yMm, blank.widthMm, 0), line(right, bottom, blank.widthMm, blank.heightMm), line(xMm, bottom, 0, blank.heightMm)];
}
