export {
  BAR_MM, MAX_PRINT_MM, PAPERS, UNPRINTABLE_MM, largestOnPage, layoutSheet, pageSize, pagesThatHold,
  type LayoutCode, type Line, type Orientation, type PaperId, type SheetLayout,
} from './layout';
export { barVerdict, type BarVerdict } from './bar';
