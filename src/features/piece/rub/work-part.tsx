import type { WorkMap } from '@/core/rub';
import { toolsFor } from '@/core/rub';
import type { Removal } from '@/core/craft';
import { Note, Part } from '@/ui';
import {
  CORNER_WORDS,
  GOES_FIRST_WORDS,
  SPOT_WORDS,
  WORK_KIND_WORDS,
  listOf,
  sectionPlace,
  upperFirst,
  counted,
  remarks,
} from '@/words';
import css from './rub.module.css';
import { say } from '@/words/say';
import { sayWith } from '@/ui/say-with';

/** The map of the work in words: what to feel for, what goes first, sections with their minutes, the tool for the spot. */
export function WorkPart({ map, removal, later }: { map: WorkMap; removal: Removal; later: boolean }) {
  const share = (kind: 'haze-stays' | 'feel-here') => map.kinds.filter((one) => one === kind).length / map.kinds.length;
  const minutes = (section: WorkMap['sections'][number]) =>
    Math.max(1, Math.round(later ? section.laterMinutes : section.minutes));
  const workOf = (section: WorkMap['sections'][number]) =>
    remarks(
      say`${minutes(section)} min`,
      section.darkShare > 0.5 && say`mostly dark`,
      section.feelShare > 0.5 && say`mostly light: feel there`,
    );
  return (
    <Part
      title={say`The map of the work`}
      folded={remarks(counted(map.sections.length, 'section', 'sections'), say`begin: ${CORNER_WORDS[map.startAt]}`)}
    >
      <ul className={css.map}>
        {(['haze-stays', 'feel-here'] as const)
          .filter((kind) => share(kind) > 0)
          .map((kind) => (
            <li key={kind} data-of={kind}>
              <b>{Math.round(share(kind) * 100)} %</b> {WORK_KIND_WORDS[kind]}
            </li>
          ))}
        <li data-of="goes-first">{say`Toner goes first at
          ${listOf(map.goesFirst.map((place) => GOES_FIRST_WORDS[place]))}: lightly there, and from the rim
          inward.`}</li>
      </ul>
      <Note>
        {map.isLightest
          ? say`Begin in this corner: ${CORNER_WORDS[map.startAt]}. It is this picture’s lightest, where a fault shows least.`
          : say`Begin in this corner: ${CORNER_WORDS[map.startAt]}. If this picture has a light one, begin there instead.`}
      </Note>
      {map.sections.length > 1 && (
        <ol className={css.sections} data-testid="sections">
          {map.sections.map((section, at) => (
            <li
              key={section.number}
            >{sayWith`${section.breakBefore && <em>{say`Rest your fingertips, or change hands.`} </em>}${
              at > 0 &&
              section.sitting !== map.sections[at - 1]?.sitting && (
                <em>{say`A sitting of its own: it may dry before, and is wetted anew.`} </em>
              )
            }${upperFirst(sectionPlace(section.box, map.box))}:
              ${workOf(section)}`}</li>
          ))}
        </ol>
      )}
      <ul className={css.spots}>
        {toolsFor(map, removal).map(({ spot, tool }) => (
          <li key={spot}>{SPOT_WORDS[spot](tool)}</li>
        ))}
      </ul>
    </Part>
  );
}
