'use client';
import { toggled } from '@/core/shared';
import { MenuItem, TextField } from '@mui/material';
import { useRouter, useSearchParams } from 'next/navigation';
import { useMemo, useState } from 'react';
import { faultEvidence, proposedSigns, weighFaults, type Observed } from '@/core/faults';
import { lastPlaced, readKept } from '@/core/inspect';
import type { FaultSignId } from '@/core/craft';
import { usePlannedPieces, type PlannedPiece } from '@/features/plans';
import { Place, Answer, Note } from '@/ui';
import { CAUSE_WORDS, lowerFirst } from '@/words';
import { CausesPart } from './causes-part';
import { SignsPart } from './signs-part';
import css from './faults.module.css';
import { say } from '@/words/say';

const NOTHING: Observed = { seen: [], notSeen: [], answers: {} };
const SURE_SHARE = 0.6;
const LIKELY_SHARE = 0.3;

/** From what is seen on a piece to the likely cause, weighed with what its record says. */
export function FaultsPage() {
  const { planned, whole } = usePlannedPieces();
  const router = useRouter();
  const id = useSearchParams().get('piece');
  const of = planned.find(({ piece }) => piece.id === id) ?? null;
  const [noted, setNoted] = useState({ on: id, observed: NOTHING });
  // What was seen on one piece is not seen on the next.
  const observed = noted.on === id ? noted.observed : NOTHING;
  const setObserved = (next: Observed) => setNoted({ on: id, observed: next });
  const evidence = useMemo(() => (of ? faultEvidence(of.piece, of.plan) : []), [of]);
  const finding = useMemo(() => weighFaults(observed, evidence), [observed, evidence]);
  const proposed = useMemo(() => proposedOf(of), [of]);
  if (!whole && id !== null && !of) return <Place className={css.page} aria-busy="true" />;
  const toggle = (sign: FaultSignId) =>
    setObserved({
      ...observed,
      seen: toggled(observed.seen, sign),
      notSeen: observed.notSeen.filter((one) => one !== sign),
    });
  return (
    <Place title={say`Faults`} className={css.page}>
      <div className={css.signs}>
        <Answer>{answer()}</Answer>
        <TextField
          select
          size="small"
          label={say`On which piece`}
          value={of?.piece.id ?? ''}
          onChange={({ target: { value } }) =>
            router.replace(value === '' ? '/faults' : `/faults?piece=${encodeURIComponent(value)}`)
          }
          sx={{ maxWidth: 380 }}
          slotProps={{
            htmlInput: { 'data-testid': 'fault-piece' },
            select: { displayEmpty: true },
            inputLabel: { shrink: true },
          }}
        >
          <MenuItem value="">{say`None of these: by what is seen alone`}</MenuItem>
          {planned.map(({ piece }) => (
            <MenuItem key={piece.id} value={piece.id}>
              {piece.name}
            </MenuItem>
          ))}
        </TextField>
        {proposed.length > 0 && (
          <Note>{say`The last photo of it shows what is marked “photo”. Look, and press what you see too.`}</Note>
        )}
        <SignsPart seen={observed.seen} proposed={proposed} onToggle={toggle} />
      </div>
      {finding.causes.length > 0 && <a href="#causes" className={css.jump}>{say`Causes and what to do`}</a>}
      <aside id="causes" className={css.causes} aria-live="polite">
        <CausesPart
          finding={finding}
          observed={observed}
          onObserved={setObserved}
          of={of}
          others={planned.filter(({ piece }) => piece.id !== of?.piece.id && piece.lay.laidAt === null)}
        />
      </aside>
    </Place>
  );

  function answer(): string {
    const [first, second] = finding.causes;
    if (!first) return say`What do you see on it?`;
    const title = CAUSE_WORDS[first.id].title;
    if (finding.together) {
      const [one, other] = finding.together;
      return say`Two faults at once: ${lowerFirst(CAUSE_WORDS[one].title)}, and ${lowerFirst(CAUSE_WORDS[other].title)}.`;
    }
    if (first.share >= SURE_SHARE) return say`Most likely: ${lowerFirst(title)}.`;
    if (first.share >= LIKELY_SHARE && second)
      return say`Most likely: ${lowerFirst(title)}. Or else: ${lowerFirst(CAUSE_WORDS[second.id].title)}.`;
    return say`Several causes are as likely: one more sign, or the check, tells them apart.`;
  }
}

function proposedOf(of: PlannedPiece | null): FaultSignId[] {
  const last = of && lastPlaced(of.piece.rub.readings);
  return last ? proposedSigns(readKept(last)) : [];
}
