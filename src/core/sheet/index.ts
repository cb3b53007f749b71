export {
  BAR_MM, DEFAULT_OVERLAP_MM, MAX_PRINT_MM, PAPER_IDS, UNPRINTABLE_MM, layoutPack, pageSize, pagesThatHold, paperOf,
  type LayoutChoice, type LayoutCode, type Line, type Orientation, type Paper, type PaperId, type SheetLayout, type SheetPack, type Tile,
} from './layout';
export { barVerdict, type BarVerdict } from './bar';
export { copierPlan, type CopierCode, type CopierPlan } from './copier';
export { TRUE_PRINTER, printerScale, type PrinterTruth } from './printer';
