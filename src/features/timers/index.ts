export { TimerProvider, useTimers } from './timers';
export { ClockQuestion } from './clock-question';
export { CureWatch } from './cure-watch';
export { TimeWatch } from './time-watch';
export { speak } from './sound';
export { askToNotify, canNotify, type NotifyState } from './notify';
