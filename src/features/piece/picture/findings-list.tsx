'use client';
import { Button } from '@mui/material';
import { CircleAlert, CircleCheck, Eye, Search } from 'lucide-react';
import { isPlaced, type Finding, type FindingId } from '@/core/findings';
import { FirstFew, Note, Part, useUnits } from '@/ui';
import { findingFigure, findingWords, lowerFirst, remedyWords, sentenceFor } from '@/words';
import { useOpenPiece } from '../piece-context';
import type { PictureFindings } from '../use-analysis';
import css from './picture.module.css';
import { say } from '@/words/say';

const ICONS = { act: CircleAlert, watch: Eye, good: CircleCheck } as const;
const WORDS = { act: say`Spoils it:`, watch: say`Will show:`, good: say`Good:` } as const;
/** The worst of them; the others are asked for. */
const FIRST_FINDINGS = 2;

/** What the pixels say, the worst first, each with what can be done about it at one press. */
export function FindingsList({
  found,
  shownId,
  onShow,
}: {
  found: PictureFindings;
  shownId: FindingId | null;
  onShow: (id: FindingId | null) => void;
}) {
  const { changeAll } = useOpenPiece();
  const units = useUnits();
  const { findings, progress, busy, failure, analysis } = found;
  return (
    <Part title={say`What the pixels say`}>
      {!analysis && busy && (
        <Note>
          {progress === 0
            ? say`Reading the whole picture …`
            : say`Reading the whole picture: ${Math.round(progress * 100)} %`}
        </Note>
      )}
      {failure && <Note>{sentenceFor(failure, units)}</Note>}
      <FirstFew of={findings} few={FIRST_FINDINGS} testId="all-findings">
        {(first) => (
          <ul className={css.findings} data-testid="findings" aria-busy={busy}>
            {first.map((finding) => (
              <FindingRow
                key={finding.id}
                finding={finding}
                shown={finding.id === shownId}
                onShow={() => onShow(finding.id === shownId ? null : finding.id)}
                onPress={(patch, label) => changeAll(patch, label)}
              />
            ))}
          </ul>
        )}
      </FirstFew>
    </Part>
  );
}

function FindingRow({
  finding,
  shown,
  onShow,
  onPress,
}: {
  finding: Finding;
  shown: boolean;
  onShow: () => void;
  onPress: (patch: Finding['remedies'][number]['patch'], label: string) => void;
}) {
  const Icon = ICONS[finding.weight];
  return (
    <li data-finding={finding.id} data-weight={finding.weight}>
      <Icon size={18} aria-label={WORDS[finding.weight]} className={css.weight} />
      <span className={css.figure}>{findingFigure(finding.figure)}</span>
      <div>
        <span>{findingWords(finding.fact).text}</span>
        {isPlaced(finding) && (
          <button type="button" className={css.where} aria-pressed={shown} onClick={onShow}>
            <Search size={13} aria-hidden /> {shown ? say`Hide` : say`Where`}
          </button>
        )}
        {finding.remedies.length > 0 && (
          <div className={css.remedies}>
            {finding.remedies.map((remedy) => (
              <Button
                key={remedy.id}
                size="small"
                variant="outlined"
                data-remedy={remedy.id}
                onClick={() => onPress(remedy.patch, lowerFirst(remedyWords(remedy)))}
              >
                {remedyWords(remedy)}
              </Button>
            ))}
          </div>
        )}
      </div>
    </li>
  );
}
