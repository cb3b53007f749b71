/** What a reading of the piece means for its mending and sealing. */
export { holesOf, mixesFor, type Hole, type HoleMix } from './holes';
export { hazeLeft, sheenFor, sheenViews, type SheenReason, type SheenView } from './sheens';
export { stopPoint, wornShare, type StopPoint, type WayOut } from './stop-point';
