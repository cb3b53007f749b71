export { listenToRoom, type SensorState } from './client';
