'use client';
import type { PlannedPiece } from '@/features/plans';
import { ChoiceField, SelectField, TextButton } from '@/ui';
import { BINDER_WORDS, STATION_NAMES, SURFACE_WORDS, USE_NAMES } from '@/words';
import { NOTHING_SOUGHT, stageOf, type DueWithin, type Sought } from './sought';
import css from './pieces.module.css';
import { say } from '@/words/say';

const ANY = { id: '', name: say`any` } as const;
const DUES: readonly { id: DueWithin; name: string }[] = [
  { id: 'any', name: say`whenever` },
  { id: 'late', name: say`late` },
  { id: 'week', name: say`within a week` },
  { id: 'month', name: say`within a month` },
  { id: 'none', name: say`no date` },
];

/** By stage, date, surface, binder and where it goes: of each only what there is on the shelf. */
export function Filters({ planned, ...shelf }: { planned: readonly PlannedPiece[] } & OfShelf) {
  const { sought, onChange } = shelf;
  const stages = [...new Set(planned.map(stageOf))];
  const surfaces = [...new Set(planned.flatMap(({ piece }) => piece.surface.kind ?? []))];
  const binders = [...new Set(planned.flatMap(({ plan }) => plan.method.binder?.id ?? []))];
  const uses = [...new Set(planned.map(({ piece }) => piece.seal.use))];
  const isNarrowed =
    sought.station !== null ||
    sought.due !== 'any' ||
    sought.surface !== null ||
    sought.binder !== null ||
    sought.use !== null;
  return (
    <div className={css.filters} role="group" aria-label={say`Show only`}>
      <SelectField
        label={say`At`}
        value={sought.station ?? ''}
        options={[ANY, ...stages.map((id) => ({ id, name: id === 'finished' ? say`finished` : STATION_NAMES[id] }))]}
        onCommit={(station) => onChange({ station: station || null })}
        testId="filter-station"
      />
      <SelectField
        label={say`Due`}
        value={sought.due}
        options={DUES}
        onCommit={(due) => onChange({ due })}
        testId="filter-due"
      />
      <SelectField
        label={say`Surface`}
        value={sought.surface ?? ''}
        options={[ANY, ...surfaces.map((id) => ({ id, name: SURFACE_WORDS[id].name }))]}
        onCommit={(surface) => onChange({ surface: surface || null })}
        testId="filter-surface"
      />
      <SelectField
        label={say`Gel or glue`}
        value={sought.binder ?? ''}
        options={[ANY, ...binders.map((id) => ({ id, name: BINDER_WORDS[id].name }))]}
        onCommit={(binder) => onChange({ binder: binder || null })}
        testId="filter-binder"
      />
      <SelectField
        label={say`Goes on`}
        value={sought.use ?? ''}
        options={[ANY, ...uses.map((id) => ({ id, name: USE_NAMES[id] }))]}
        onCommit={(use) => onChange({ use: use || null })}
        testId="filter-use"
      />
      <ShelfChoice {...shelf} />
      {isNarrowed && (
        <TextButton
          onClick={() => onChange({ ...NOTHING_SOUGHT, text: sought.text, shelf: sought.shelf })}
        >{say`Show all`}</TextButton>
      )}
    </div>
  );
}

/** What is sought, and how much there is that is not in work. */
interface OfShelf {
  awayCount: number;
  templateCount: number;
  sought: Sought;
  onChange: (patch: Partial<Sought>) => void;
}

/** In work, put away, or templates: where there is any choice. */
function ShelfChoice({ awayCount, templateCount, sought: { shelf }, onChange }: OfShelf) {
  const hasAway = awayCount > 0 || shelf === 'away';
  const hasTemplates = templateCount > 0 || shelf === 'templates';
  if (!hasAway && !hasTemplates) return null;
  return (
    <ChoiceField
      label={say`Shelf`}
      value={shelf}
      options={[
        { id: 'here', name: say`In work` },
        ...(hasAway ? [{ id: 'away', name: say`Put away: ${awayCount}` } as const] : []),
        ...(hasTemplates ? [{ id: 'templates', name: say`Templates: ${templateCount}` } as const] : []),
      ]}
      onCommit={(chosen) => onChange({ shelf: chosen })}
    />
  );
}
