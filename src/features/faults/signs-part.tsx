import { FAULT_SIGNS, type FaultSignId } from '@/core/craft';
import { SIGN_WORDS } from '@/words';
import css from './faults.module.css';
import { say } from '@/words/say';

/** What can be seen, drawn; pressed is seen. */
export function SignsPart({
  seen,
  proposed,
  onToggle,
}: {
  seen: readonly FaultSignId[];
  proposed: readonly FaultSignId[];
  onToggle: (sign: FaultSignId) => void;
}) {
  return (
    <ul className={css.grid} aria-label={say`Signs`}>
      {FAULT_SIGNS.map((sign) => {
        const { title, look } = SIGN_WORDS[sign];
        return (
          <li key={sign}>
            <button
              type="button"
              aria-pressed={seen.includes(sign)}
              onClick={() => onToggle(sign)}
              data-testid={`sign-${sign}`}
            >
              <img src={`/signs/${sign}.jpg`} alt="" width={264} height={176} loading="lazy" />
              <b>
                {title}
                {proposed.includes(sign) && <em>{say`photo`}</em>}
              </b>
              <small>{look}</small>
            </button>
          </li>
        );
      })}
    </ul>
  );
}
