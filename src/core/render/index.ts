export { RENDER_STAGES, TONER_BLACK, rubbedOptics, seen, stageOptics, tonerFilter, underVeil, type Optics, type RenderStage } from './optics';
export { compensation, type Ground } from './compensate';
export { GROUND_STEPS, PLAIN_GRAIN, linearColour, renderGround, type Grain, type SurfaceLook } from './surface-texture';
export { layPrintPlain, loadLayPrint, type LayPrint, type LayTables } from './lay-print';
export { OPAQUE_WHITE, prepareSpecimen, renderSpecimen, type PreparedSpecimen, type PrintLook, type PrintPx, type SpecimenOrder } from './specimen';
