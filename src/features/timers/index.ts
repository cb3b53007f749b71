export { TimerProvider, useTimers } from './timers';
export { CureWatch } from './cure-watch';
export { speak } from './sound';
export { askToNotify, canNotify, notify, type NotifyState } from './notify';
