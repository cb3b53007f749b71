import { CAUTION_LEVELS, type CautionId } from '@/core/craft';
import { STATIONS } from '@/core/stations';
import { CAUTION_TEXTS } from '../craft';
import { STATION_NAMES } from '../stations';
import { lowerFirst } from '../text';
import { GLOSSARY } from './glossary';
import { WORKINGS } from './workings';
import { say } from '../say';

/** One thing to read: a word, how an answer is worked out, or something to mind. */
export interface HelpTopic {
  id: string;
  kind: 'working' | 'word' | 'caution';
  title: string;
  text: readonly string[];
}

const kebab = (word: string): string => word.toLowerCase().replace(/[^a-z]+/g, '-');

/** All there is to read, in the order of the booklet: how it is worked out, words, what to mind. */
export const helpTopics = (): HelpTopic[] => [
  ...STATIONS.map((station): HelpTopic => {
    const { title, steps, weak, source } = WORKINGS[station];
    return {
      id: `working-${station}`,
      kind: 'working',
      title: `${STATION_NAMES[station]}: ${lowerFirst(title)}`,
      text: [...steps, say`Weak where: ${weak}`, say`Source: ${source}`],
    };
  }),
  ...GLOSSARY.map(({ word, meaning }): HelpTopic => ({
    id: `word-${kebab(word)}`,
    kind: 'word',
    title: word,
    text: [meaning],
  })),
  ...(Object.keys(CAUTION_LEVELS) as CautionId[]).map((id): HelpTopic => ({
    id: `caution-${id}`,
    kind: 'caution',
    title: CAUTION_LEVELS[id] === 'danger' ? say`Can hurt you` : say`Can spoil the piece`,
    text: [CAUTION_TEXTS[id]],
  })),
];

const words = (text: string): string[] => text.toLowerCase().match(/[\p{L}\p{N}]+/gu) ?? [];

/**
 * Topics that hold every word sought, also as the beginning of a longer one; those whose title begins with them first, then those that
 * have them in their title.
 * All of them where nothing is sought.
 */
export function searchHelp(topics: readonly HelpTopic[], sought: string): HelpTopic[] {
  const asked = words(sought);
  if (asked.length === 0) return [...topics];
  const holds = (text: string) => {
    const own = words(text);
    return asked.every((word) => own.some((one) => one.startsWith(word)));
  };
  const found = topics.filter(({ title, text }) => holds(`${title} ${text.join(' ')}`));
  const phrase = asked.join(' ');
  const rank = ({ title }: HelpTopic) => Number(holds(title)) + Number(words(title).join(' ').startsWith(phrase));
  return found.sort((a, b) => rank(b) - rank(a));
}
