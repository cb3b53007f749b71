export { photographedGround } from './photographed';
export {
  RENDER_STAGES,
  cloudedBy,
  rubbedOptics,
  seen,
  stageOptics,
  tonerFilter,
  underVeil,
  type Optics,
  type RenderStage,
} from './optics';
export { stand, standingView } from './standing';
export { wettedShares } from './wetted';
export { compensation } from './compensate';
export { OPAQUE_WHITE, PLAIN_GRAIN, type Grain, type SurfaceLook } from './grain';
export { renderGround } from './surface-texture';
export { layPrintPlain, loadLayPrint, type LayPrint } from './lay-print';
export { prepareSpecimen, renderSpecimen, type PreparedSpecimen, type PrintPx, type SpecimenOrder } from './specimen';
