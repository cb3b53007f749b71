export { NOTHING_SAID, printsOnOwnPaper, usualPrint, type AtHand, type PrinterAtHand } from './at-hand';
export { BAR_MM, TRUE_PRINTER, drawnBarMm, printerScale, type PrinterTruth } from './printer';
