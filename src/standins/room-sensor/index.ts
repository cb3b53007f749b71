export { listenToRoom, readingsOf, type SensorState } from './client';
