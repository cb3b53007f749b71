export { Specimen, type SpecimenScale } from './specimen';
export { SurfaceFill } from './surface-fill';
export { CroppedPicture } from './cropped-picture';
