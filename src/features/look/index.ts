export { LookCanvas, LookInSvg } from './look-canvas';
export { landingOrder, printOrder } from './order';
export { bentLayers, movedLayers, readyLayers, useLayers, type ReadyLayer } from './use-layers';
export { FONT_NAMES, outlineOf } from './fonts';
