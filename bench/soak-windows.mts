/** Over the built program, in two real windows of one store: typing on all stations, with a model of what must be stored. */
import type { BrowserContext, Locator, Page } from '@playwright/test';
import { seededChance } from '@/core/shared';
import {
  ADDRESS,
  FIELDS,
  inApp,
  keptOf,
  openAt,
  questionIn,
  saved,
  stations,
  stored,
  type Soaked,
} from './soak-app.mts';

const EDITS = Number(process.env.EDITS ?? 2000);
/** What is typed is kept or asked about within so long. */
const TO_ASK_MS = 3000;

/** A change of the other window that arrived while this one typed: the field itself says so, and keeps what was typed. */
const saysSo = (input: Locator) =>
  input.evaluate((field) => {
    const said = document.getElementById(field.getAttribute('aria-describedby') ?? '');
    return field.getAttribute('aria-invalid') === 'true' && /in another window meanwhile/.test(said?.textContent ?? '');
  });
/** A window that hears nothing of the others, as one that slept. */
async function windowIn(context: BrowserContext): Promise<Page> {
  const page = await context.newPage();
  await page.addInitScript(() => {
    Reflect.deleteProperty(window, 'BroadcastChannel');
  });
  return page;
}
/** Two windows typing into the same and different fields of one piece, and a model of what must be stored. */
export const soakWindows = (seed: number): Promise<Soaked> =>
  inApp(async (opened) => {
    const chance = seededChance(seed);
    const pick = <T,>(of: readonly T[]): T => of[Math.floor(chance() * of.length)]!;
    const context = await opened();
    const windows = [await windowIn(context), await windowIn(context)];
    const wrong: string[] = [];
    let [edits, asked] = [0, 0];
    const model = new Map<string, unknown>();
    while (edits < EDITS) {
      const there = [pick(stations), pick(stations)];
      if (chance() < 0.5) there[1] = there[0]!;
      for (const [at, page] of windows.entries()) {
        // Now and then one wakes up.
        if (chance() < 0.1) await page.goto(`${ADDRESS}/pieces`);
        await openAt(page, there[at]!);
      }
      for (let turn = 0; turn < 10 && edits < EDITS; turn++) {
        const both = chance() < 0.3;
        const fields = there.map((station) => pick(FIELDS.filter((field) => field.station === station)));
        if (both && there[0] === there[1]) fields[1] = fields[0]!;
        const values = fields.map(({ from, to }) => from + Math.floor(chance() * (to - from + 1)));
        const before = await stored(windows[0]!);
        const inputs = windows.map((page, at) => page.getByTestId(fields[at]!.testId).first());
        const isThere = await Promise.all(inputs.map(async (input) => (await input.count()) > 0 && input.isEditable()));
        const commit = async (at: number) => {
          await inputs[at]!.press(chance() < 0.5 ? 'Enter' : 'Tab');
        };
        const order = both ? [[0, 1]] : [[chance() < 0.5 ? 0 : 1]];
        for (const together of order) {
          const active: number[] = [];
          const shown: number[] = [];
          for (const at of together) {
            if (!isThere[at]) continue;
            const typed = fields[at]!.typed?.(values[at]!) ?? String(values[at]);
            shown[at] = parseFloat(await inputs[at]!.inputValue());
            // What stands there already, typed once more, is no change.
            if (shown[at] === parseFloat(typed)) continue;
            await inputs[at]!.fill(typed);
            active.push(at);
          }
          await Promise.all(active.map(commit));
          for (const at of active) {
            edits++;
            await saved(windows[at]!);
          }
          // Each is kept, or asked about, before long.
          let [questions, told, now] = [[0, 0], [false, false], before];
          for (const until = performance.now() + TO_ASK_MS; performance.now() < until;) {
            questions = await Promise.all(windows.map((page) => questionIn(page).count()));
            told = await Promise.all(inputs.map((input, at) => isThere[at] === true && saysSo(input)));
            now = await stored(windows[0]!);
            const isKept = (at: number) => fields[at]!.of(now) === keptOf(fields[at]!, values[at]!);
            if (active.every((at) => isKept(at) || questions[at]! > 0 || told[at])) break;
            await windows[0]!.waitForTimeout(50);
          }
          for (const at of active) {
            const field = fields[at]!;
            const mine = keptOf(field, values[at]!);
            const isStored = field.of(now) === mine;
            if (told[at] && !isStored) {
              asked++;
              const takesMine = chance() < 0.5;
              await inputs[at]!.press(takesMine ? 'Enter' : 'Escape');
              await saved(windows[at]!);
              await windows[at]!.waitForTimeout(200);
              const then = field.of(await stored(windows[0]!));
              if (then !== (takesMine ? mine : field.of(now)))
                wrong.push(
                  `edit ${edits}: ${field.testId} ${takesMine ? 'mine' : 'theirs'} was taken, ${String(then)} is kept`,
                );
            } else if (questions[at]! > 0) {
              asked++;
              const takesMine = chance() < 0.5;
              const question = questionIn(windows[at]!);
              await question.getByRole('button', { name: takesMine ? 'Use mine' : 'Keep the other window’s' }).click();
              const isSettled = await question.waitFor({ state: 'detached', timeout: 3000 }).then(
                () => true,
                () => false,
              );
              if (!isSettled) {
                wrong.push(`edit ${edits}: ${field.testId} asked again: ${(await question.textContent()) ?? ''}`);
                await question.getByRole('button', { name: 'Keep the other window’s' }).click();
                await question.waitFor({ state: 'detached' });
                continue;
              }
              await saved(windows[at]!);
              const then = await stored(windows[0]!);
              if (takesMine && field.of(then) !== mine)
                wrong.push(
                  `edit ${edits}: ${field.testId} ${String(mine)} was chosen, ${String(field.of(then))} is kept`,
                );
            } else if (!isStored && active.every((other) => other === at || fields[other] !== field))
              wrong.push(
                `edit ${edits}: ${field.testId} ${String(mine)} lost unasked, ` +
                  `${String(field.of(now))} is kept (${String(field.of(before))} before)`,
              );
            // Whoever saw this very value standing there and typed another has changed it, and knew.
            else if (!isStored && active.some((other) => other !== at && shown[other] === values[at])) continue;
            else if (!isStored && active.every((other) => questions[other] === 0 && !told[other]))
              wrong.push(
                `edit ${edits}: ${field.testId} ${values.join(' and ')} typed at once, ${String(field.of(now))} kept, nobody was asked`,
              );
          }
          // What nobody typed into is as it was.
          const last = await stored(windows[0]!);
          for (const field of FIELDS) {
            const key = field.testId;
            if (active.some((at) => fields[at] === field)) model.set(key, field.of(last));
            else if (model.has(key) && model.get(key) !== field.of(last)) {
              wrong.push(
                `edit ${edits}: ${key} was ${String(model.get(key))}, became ${String(field.of(last))} untyped`,
              );
              model.set(key, field.of(last));
            }
          }
        }
      }
    }
    await context.close();
    return { said: `${edits} edits in two windows, ${asked} asked about: ${wrong.length} lost`, wrong };
  });
