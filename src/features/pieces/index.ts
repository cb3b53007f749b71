export { PiecesPage } from './pieces-page';
export { PieceFigure, figureSize } from './piece-figure';
export { FirstPiece } from './later';
export { SetPage } from './set-page';
export { PrintTogetherPage } from './print-together';
