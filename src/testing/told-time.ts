import { shiftClock, toldTime } from '../../scripts/told-time.mjs';

/** Each file of tests begins at the instant that is told, whatever the machine's clock says. */
shiftClock(toldTime().at - Date.now());
