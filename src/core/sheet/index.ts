export {
  BAR_MM, DEFAULT_OVERLAP_MM, MAX_PRINT_MM, PAPER_IDS, UNPRINTABLE_MM, layoutPack, pageSize, pagesThatHold, paperOf, placeMatrix,
  type LayoutChoice, type LayoutCode, type Line, type Orientation, type Paper, type PaperId, type PlacedPrint, type SheetLayout, type SheetPack, type Tile,
} from './layout';
export { barVerdict, type BarVerdict } from './bar';
export { copierPlan, type CopierCode, type CopierPlan } from './copier';
export { TRUE_PRINTER, printerScale, type PrinterTruth } from './printer';
export { PLAIN_FORM, asLanded, formPrint, onPaper, pictureWindow, wholeBlock, type CornersWay, type EdgeWay, type FaceView, type FormedPrint, type PartsWay, type PictureStretch, type PrintBlock, type PrintForm, type SidesWay } from './print-blocks';
export { cutTemplate, placementTemplate } from './templates';
export { areOneSize, commonSize, marginsFor } from './equal-size';
export { MARK_MM, pageMap, sheetMarks, type Mark, type PrintText, type SheetText } from './marks';
