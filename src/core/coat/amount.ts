/**
 * Medium for a coat: volume = coated area × wet film × faces × absorbency × (1 + loss). Areas in mm², films in µm, volume in ml.
 * The coat goes a little past the print on the blank; on paper it ends with the paper. Source: bench practice, where about 30 ml
 * coats a letter-size print and its surface together. Known weakness: hands differ by a third; the measured bottle corrects it.
 */
import { nominalFilmUm, type BinderRecord, type CoatedFace, type SurfaceRecord } from '@/core/craft';
import { coveredAreaMm2, grownWithin, type Blank, type RectMm } from '@/core/shape';
import { sum } from '@/core/shared';

export interface FaceCoat { face: CoatedFace; areaMm2: number; filmUm: number; volumeMl: number }

export interface CoatAmount {
  faces: readonly FaceCoat[];
  /** The coat that dries first, in the varnish-bed school. */
  bed: FaceCoat | null;
  lossShare: number;
  totalMl: number;
  outline: RectMm;
}

export interface CoatInput {
  blank: Blank;
  print: RectMm;
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

const volumeMl = (area: number, filmUm: number, surface: SurfaceRecord): number => ((area * filmUm) / UM_PER_MM / MM3_PER_ML) * surface.absorbency * (1 + LOSS_SHARE);

/** Medium for an area on every face the binder wants, before the print's place is known, ml. */
export const coatVolumeMl = (binder: BinderRecord, surface: SurfaceRecord, area: number): number =>
  binder.faces.length * volumeMl(area, nominalFilmUm(binder), surface) + (binder.bedCoat ? volumeMl(area, binder.bedCoat.filmUm, surface) : 0);

export function coatAmount({ blank, print, binder, surface, filmUm, faces, extendMm }: CoatInput): CoatAmount {
  const outline = binder.wholeSurface ? { xMm: 0, yMm: 0, widthMm: blank.widthMm, heightMm: blank.heightMm } : grownWithin(print, extendMm, blank);
  const film = filmUm ?? nominalFilmUm(binder);
  const coat = (face: CoatedFace, area: number, thickness: number): FaceCoat => ({
    face, areaMm2: area, filmUm: thickness,
    volumeMl: volumeMl(area, thickness, surface),
  });
  const coats = (faces ?? binder.faces).map((face) => coat(face, coveredAreaMm2(blank, face === 'paper' ? print : outline), film));
  const bed = binder.bedCoat ? coat('surface', coveredAreaMm2(blank, outline), binder.bedCoat.filmUm) : null;
  return { faces: coats, bed, outline, lossShare: LOSS_SHARE, totalMl: sum([...coats, ...(bed ? [bed] : [])].map((one) => one.volumeMl)) };
}
