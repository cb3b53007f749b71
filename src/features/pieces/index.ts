export { PiecesPage } from './pieces-page';
export { PieceFigure, figureSize } from './piece-figure';
export { FirstPiece } from './first-piece';
export { PrintTogetherPage } from './print-together';
