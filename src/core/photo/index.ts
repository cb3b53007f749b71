/** What reading photographs needs: single-channel rasters, and the perspective between planes. */
export { boxCorners, homographyOf, project, solve, type Homography, type Point } from './homography';
export { hullOf, largestRegion, ringArea, widestFour } from './regions';
export {
  boxMean,
  channelOf,
  correlation,
  grayOf,
  mirroredGray,
  reduced,
  sample,
  standingOut,
  type Gray,
  type Rgba,
} from './raster';
