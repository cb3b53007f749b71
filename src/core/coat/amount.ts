/**
 * Medium for a coat: volume = coated area × wet film × faces × absorbency × (1 + loss). Areas in mm², films in µm,
 * volume in ml. The coat goes a little past the print on the blank; on paper it ends with the paper. Source: bench
 * practice, where about 30 ml coats a letter-size print and its surface together. Known weakness: hands differ by a
 * third; the measured bottle corrects it.
 */
import { nominalFilmUm, type BinderRecord, type CoatedFace, type SurfaceRecord } from '@/core/craft';
import { coatRings, coveredAreaMm2, onBlank, rectRing, type Blank, type Ring } from '@/core/shape';
import { sum } from '@/core/shared';

interface FaceCoat {
  face: CoatedFace;
  areaMm2: number;
  filmUm: number;
  volumeMl: number;
}

export interface CoatAmount {
  faces: readonly FaceCoat[];
  /** The coat that dries first, in the varnish-bed school. */
  bed: FaceCoat | null;
  lossShare: number;
  totalMl: number;
  /** Where the coat goes on the blank. */
  outline: readonly Ring[];
}

export interface CoatInput {
  blank: Blank;
  /** What of the face the print covers. */
  print: readonly Ring[];
  binder: BinderRecord;
  surface: SurfaceRecord;
  /** Overruled values; null takes the record's. */
  filmUm: number | null;
  faces: readonly CoatedFace[] | null;
  extendMm: number;
}

/** What stays in the brush and the pot: 10–15 % by practice. */
export const LOSS_SHARE = 0.12;
const MM3_PER_ML = 1000;
const UM_PER_MM = 1000;

const volumeMl = (area: number, filmUm: number, surface: SurfaceRecord): number =>
  ((area * filmUm) / UM_PER_MM / MM3_PER_ML) * surface.absorbency * (1 + LOSS_SHARE);

/** Medium for an area on every face the binder wants, before the print's place is known, ml. */
export const coatVolumeMl = (binder: BinderRecord, surface: SurfaceRecord, area: number): number =>
  binder.faces.length * volumeMl(area, nominalFilmUm(binder), surface) +
  (binder.bedCoat ? volumeMl(area, binder.bedCoat.filmUm, surface) : 0);

export function coatAmount({ blank, print, binder, surface, filmUm, faces, extendMm }: CoatInput): CoatAmount {
  const outline = binder.wholeSurface
    ? onBlank(blank, [rectRing({ xMm: 0, yMm: 0, widthMm: blank.widthMm, heightMm: blank.heightMm })])
    : coatRings(blank, print, extendMm);
  const film = filmUm ?? nominalFilmUm(binder);
  const coat = (face: CoatedFace, area: number, thickness: number): FaceCoat => ({
    face,
    areaMm2: area,
    filmUm: thickness,
    volumeMl: volumeMl(area, thickness, surface),
  });
  const coatedMm2 = binder.wholeSurface ? blank.areaMm2 : coveredAreaMm2(blank, outline);
  const coats = (faces ?? binder.faces).map((face) =>
    coat(face, face === 'paper' ? coveredAreaMm2(blank, print) : coatedMm2, film),
  );
  const bed = binder.bedCoat ? coat('surface', coatedMm2, binder.bedCoat.filmUm) : null;
  return {
    faces: coats,
    bed,
    outline,
    lossShare: LOSS_SHARE,
    totalMl: sum([...coats, ...(bed ? [bed] : [])].map((face) => face.volumeMl)),
  };
}
