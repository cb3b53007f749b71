export { TimerProvider, useTimers } from './timers';
export { CureWatch } from './cure-watch';
export { speak } from './sound';
export { askToNotify, canNotify, type NotifyState } from './notify';
