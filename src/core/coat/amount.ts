/**
 * Medium for a coat: volume = coated area × wet film × what drinks it × (1 + loss), face by face: the ground drinks by its
 * own measure, paper by the same whatever it is laid on. Areas in mm², films in µm,
 * volume in ml. The coat goes a little past the print on the blank; on paper it ends with the paper. Source: bench
 * practice, where about 30 ml coats a letter-size print and its surface together. Known weakness: hands differ by a
 * third; the measured bottle corrects it.
 */
import { nominalFilmUm, type BinderRecord, type CoatedFace, type Ground } from '@/core/craft';
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
  /** Whether that is all of the face. */
  wholeFace: boolean;
  /** Whether how far it goes past the print changes anything: not of a print that covers the face. */
  canGoPast: boolean;
}

/** Where a coat can go on a blank, worked out once for every binder. */
export interface CoatPlaces {
  /** Of the paper, what carries print, mm². */
  paperMm2: number;
  /** A little past the print, and over the whole face: as outlines on the blank, and their areas, mm². */
  pastPrint: Coated;
  wholeFace: Coated;
}
interface Coated {
  outline: readonly Ring[];
  areaMm2: number;
}

/** @param print what of the face the print covers; @param extendMm how far the coat goes past it */
export function coatPlaces(blank: Blank, print: readonly Ring[], extendMm: number): CoatPlaces {
  const past = coatRings(blank, print, extendMm);
  return {
    paperMm2: coveredAreaMm2(blank, print),
    pastPrint: { outline: past, areaMm2: coveredAreaMm2(blank, past) },
    wholeFace: {
      outline: onBlank(blank, [rectRing({ xMm: 0, yMm: 0, widthMm: blank.widthMm, heightMm: blank.heightMm })]),
      areaMm2: blank.areaMm2,
    },
  };
}

/** Before the print's place is known: an area for all. */
export const placesOf = (areaMm2: number): CoatPlaces => ({
  paperMm2: areaMm2,
  pastPrint: { outline: [], areaMm2 },
  wholeFace: { outline: [], areaMm2 },
});

export interface CoatInput {
  places: CoatPlaces;
  binder: BinderRecord;
  ground: Pick<Ground, 'absorbency'>;
  /** Overruled values; null takes the record's. */
  filmUm: number | null;
  faces: readonly CoatedFace[] | null;
}

/** What stays in the brush and the pot: 10–15 % by practice. */
export const LOSS_SHARE = 0.12;
/** Paper drinks as much whatever it is laid on. */
export const PAPER_ABSORBENCY = 1.1;
/** What is left bare of a face that counts as covered. */
const COVERED = 0.999;
const MM3_PER_ML = 1000;
const UM_PER_MM = 1000;

/** Which faces are coated: as chosen, but never paper whose ink would run. */
function facesCoated(
  { faces: usual, coatsPaper }: Pick<BinderRecord, 'faces' | 'coatsPaper'>,
  chosen: readonly CoatedFace[] | null,
): readonly CoatedFace[] {
  return coatsPaper ? (chosen ?? usual) : ['surface'];
}

export function coatAmount({ places, binder, ground, filmUm, faces }: CoatInput): CoatAmount {
  const { outline, areaMm2: surfaceMm2 } = binder.wholeSurface ? places.wholeFace : places.pastPrint;
  const covered = places.wholeFace.areaMm2 * COVERED;
  const coat = (face: CoatedFace, areaMm2: number, film: number, drinks: number): FaceCoat => ({
    face,
    areaMm2,
    filmUm: film,
    volumeMl: ((areaMm2 * film) / UM_PER_MM / MM3_PER_ML) * drinks * (1 + LOSS_SHARE),
  });
  const film = filmUm ?? nominalFilmUm(binder);
  // A bed that has dried drinks no more.
  const drinks = binder.bedCoat ? 1 : ground.absorbency;
  const coats = facesCoated(binder, faces).map((face) =>
    face === 'paper' ? coat(face, places.paperMm2, film, PAPER_ABSORBENCY) : coat(face, surfaceMm2, film, drinks),
  );
  const bed = binder.bedCoat ? coat('surface', surfaceMm2, binder.bedCoat.filmUm, ground.absorbency) : null;
  return {
    faces: coats,
    bed,
    outline,
    wholeFace: surfaceMm2 >= covered,
    canGoPast: !binder.wholeSurface && places.paperMm2 < covered,
    lossShare: LOSS_SHARE,
    totalMl: sum([...coats, ...(bed ? [bed] : [])].map((face) => face.volumeMl)),
  };
}
