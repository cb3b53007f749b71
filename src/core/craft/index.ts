export { BASE_COATS, FINISHES, SURFACES, surfaceById, type BaseCoatId, type FinishId, type SurfaceClass, type SurfaceId, type SurfaceRecord } from './surfaces';
export { BINDERS, binderById, nominalFilmUm, type BinderId, type BinderRecord, type CoatedFace } from './binders';
export { PRINTS, printById, type PrintId, type PrintRecord } from './prints';
export { SCHOOLS, binderFor, schoolById, type LabelValues, type Removal, type SchoolId, type SchoolRecord } from './schools';
export { DISAGREEMENTS, type Disagreement } from './disagreements';
export { SEALERS, SHEENS, USES, sealerById, type SealerId, type SealerRecord, type SheenId, type UseId } from './sealers';
export { CAUTIONS, type CautionId, type CautionRecord } from './cautions';
export { TOOLS, type ToolStation } from './tools';
