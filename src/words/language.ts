import { LONG, MIRRORED } from './made-up';
import type { Language } from './spoken';

const ENGLISH: Language = {
  tag: 'en',
  direction: 'ltr',
  message: (english) => english,
  counted: (count, form, one, many) => `${count} ${form === 'one' ? one : many}`,
};
const LANGUAGES: readonly Language[] = [ENGLISH, LONG, MIRRORED];

/** On the server as it was started, in the page as the server said, in a worker as the page named it. */
function wanted(): string | undefined {
  if (typeof document !== 'undefined') return document.documentElement.lang;
  if (typeof process !== 'undefined' && process.env.FOBBET_LANGUAGE) return process.env.FOBBET_LANGUAGE;
  return (globalThis as { name?: string }).name;
}

const found = wanted();
/** Settled once, before anything is said. */
export const LANGUAGE: Language = LANGUAGES.find(({ tag }) => tag === found) ?? ENGLISH;
export const IS_ENGLISH = LANGUAGE === ENGLISH;
/** What a worker is called, so that it speaks as the page does. */
export const WORKER_SPEAKS = { type: 'module', name: LANGUAGE.tag } as const;

/** The person's own locale where it is of the language that is spoken, else that language's. */
export function localeHere(): string {
  const own = typeof navigator === 'undefined' ? 'en-GB' : navigator.language;
  return IS_ENGLISH || own.split('-')[0] === LANGUAGE.tag.split('-')[0] ? own : LANGUAGE.tag;
}
