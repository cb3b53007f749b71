export { Specimen, type SpecimenScale } from './specimen';
