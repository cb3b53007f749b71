export { canPrintPdf, printPdf } from './print-pdf';
export { sheetOrder, sheetText, tracingOrder, type SheetItem } from './order';
export { PageMarks } from './page-marks';
export { useSheetItems } from './use-sheet-items';
export { useSheetJob, type SheetJob } from './use-sheet-job';
