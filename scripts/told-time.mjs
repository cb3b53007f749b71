// The time that tests are told, in one place for both runners: whatever the machine's clock says, every test and every
// journey begins at this instant, in this zone. FOBBET_AT tells another: a local time and a zone, as in
// FOBBET_AT="2028-02-29T10:00 Pacific/Auckland" npm test.
import { TZDate } from '@date-fns/tz';

const USUAL = '2026-12-01T10:00 Europe/London';

/** @returns {{ local: string, zone: string, at: number }} epoch ms */
export function toldTime(text = process.env.FOBBET_AT ?? USUAL) {
  const [local = '', zone = ''] = text.split(' ');
  const fields = /^(\d{4})-(\d\d)-(\d\d)T(\d\d):(\d\d)$/.exec(local)?.slice(1).map(Number);
  const at = fields && zone ? instant(fields, zone) : NaN;
  if (Number.isNaN(at)) throw new Error(`FOBBET_AT: expected "2026-12-01T10:00 Europe/London", got "${text}"`);
  return { local, zone, at };
}

const instant = ([year, month, ...rest], zone) => new TZDate(year, month - 1, ...rest, zone).getTime();

/**
 * Sets the clock of whoever runs this – a page, a test – ahead of the machine's, or behind it. Stands alone, so that it
 * can be sent to a page.
 *
 * @param {number} offsetMs
 */
export function shiftClock(offsetMs) {
  const machine = Date.now.bind(Date);
  Date.now = () => machine() + offsetMs;
  globalThis.Date = new Proxy(Date, {
    construct: (target, given, made) => Reflect.construct(target, given.length > 0 ? given : [target.now()], made),
    apply: (target) => new target(target.now()).toString(),
  });
}
