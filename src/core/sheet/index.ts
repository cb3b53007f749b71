export { PAPER_IDS, UNPRINTABLE_MM, pageSize, paperOf, type Orientation, type Paper, type PaperId } from './papers';
export type { Line } from './line';
export { placeMatrix, type PlacedPrint, type SheetLayout, type SheetPack } from './sheet-page';
export {
  DEFAULT_OVERLAP_MM,
  MAX_PRINT_MM,
  layoutPack,
  lessForFewerPages,
  lessForOnePage,
  pagesThatHold,
  type LayoutChoice,
  type LayoutCode,
} from './pack';
export { barIsTrue, barVerdict, type BarVerdict } from './bar';
export { copierPlan, type CopierCode } from './copier';
export {
  PLAIN_FORM,
  type EdgeWay,
  type FaceView,
  type FormedPrint,
  type PartsWay,
  type PictureStretch,
  type PrintBlock,
  type PrintForm,
  type SidesWay,
} from './print/print-form';
export { asLanded, formPrint, onPaper, pictureWindow, wholeBlock } from './print/form-print';
export { cutTemplate, placementTemplate } from './templates';
export { areOneSize, commonSize, marginsFor } from './equal-size';
export { MARK_MM, pageMap, sheetMarks, type Mark, type PrintText, type SheetText } from './marks';
export type { PageEdge, SheetWords } from './sheet-words';
