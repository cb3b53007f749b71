'use client';
import { PICTURE_ACCEPT } from '@/core/picture';
import type { KeptProof } from '@/core/stations';
import type { ProofReason, ProofVerdict, SizeUnread } from '@/core/proof';
import type { SheetPack } from '@/core/sheet';
import { useSheetJob } from '@/features/sheets';
import { FileButton, JobProgress, NextRow, Note, Part, useClock, dated } from '@/ui';
import { checkProof } from '@/workers/proof/client';
import { useTaker } from '@/features/intake';
import { useOpenPiece } from '../piece-context';
import type { SheetMaking } from './use-sheet';
import css from './sheet.module.css';
import { say } from '@/words/say';
import { sentences } from '@/words';

const REASONS: Readonly<Record<ProofReason, string>> = {
  mirrored: say`it came out turned over, left for right: switch the printer’s own mirroring off`,
  'scale-across': say`it is not at its size across the feed`,
  'scale-along': say`it is not at its size along the feed`,
  'cut-off': say`its edge is cut off: this printer leaves more white than was reckoned with`,
  pale: say`it is too pale: too little toner to move`,
  cast: say`its colours are off`,
};

/** Why the size is not told, and what to do about it. */
const UNREAD: Readonly<Record<SizeUnread, string>> = {
  'not-flat': say`The page bows: its size can’t be told. Flatten it – put a book on it overnight – or measure the bar.`,
  unclear: say`Too much of the page is lost in a lamp’s mirror image or in blur: its size can’t be told. Take the
    photo again from another side, or measure the bar.`,
  'no-edges': say`Its four edges can’t be told for sure, and the file doesn’t say how dense it is: its size can’t be
    told. Lay it on something plain and dark, with all four edges in view and nothing over them, or measure the bar.`,
};

const percent = (share: number | null): string => (share === null ? say`not told` : `${(share * 100).toFixed(1)} %`);
export const keptProof = (verdict: ProofVerdict, at: number): KeptProof => ({
  at,
  go: verdict.go,
  mirroredRight: !verdict.flipped,
  across: verdict.across,
  along: verdict.along,
  sizeUnread: verdict.sizeUnread,
  page: verdict.page,
  darknessKept: verdict.darknessKept,
  reasons: [...verdict.reasons],
});

/** A photo or scan of the printed page, read back. */
export function ProofPart({ making, pack }: { making: SheetMaking; pack: SheetPack }) {
  const { piece, change } = useOpenPiece();
  const clock = useClock();
  const job = useSheetJob();
  const { proof } = piece.sheet;
  const read = (file: File) => {
    const order = making.previewOrder();
    if (order)
      job.run(
        (onProgress) => checkProof(file, order, onProgress),
        (verdict) => change('sheet', { proof: keptProof(verdict, clock()) }, say`proof read`),
      );
  };
  useTaker(say`it is read as a photo of the printed page`, read);
  return (
    <Part title={say`Read a photo of it`} folded={proof === null ? say`not read` : null}>
      <Note>
        {sentences(
          say`Lay the printed page flat on something darker, all four edges in view, and take a photo from above; or scan it.`,
          say`White marble and pale wood hinder: put a dark cloth under it.`,
          say`Fobbet reads mirroring, size, page and darkness.`,
          say`A lamp that mirrors in the toner is left out.`,
        )}
      </Note>
      <NextRow>
        <FileButton
          size="small"
          variant="outlined"
          accept={PICTURE_ACCEPT}
          onFile={read}
          disabled={job.progress !== null}
          testId="proof-photo"
        >{say`Choose the photo`}</FileButton>
        {job.progress !== null && <JobProgress progress={job.progress} label={say`Reading the photo`} />}
      </NextRow>
      {proof && <ProofFigures proof={proof} pages={pack.pages.length} />}
    </Part>
  );
}

function proofWords({ go, reasons, sizeUnread }: KeptProof): string {
  if (go) return say`Go.`;
  if (reasons.length > 0) return say`Print again, because ${reasons.map((reason) => REASONS[reason]).join('; ')}.`;
  return sizeUnread ? UNREAD[sizeUnread] : '';
}

function ProofFigures({ proof, pages }: { proof: KeptProof; pages: number }) {
  return (
    <div className={css.proof} data-go={proof.go} data-testid="proof-verdict">
      <b>{proofWords(proof)}</b>
      <dl>
        <div>
          <dt>{say`Way round`}</dt>
          <dd>{proof.mirroredRight ? say`as sent` : say`turned over`}</dd>
        </div>
        <div>
          <dt>{say`Size across`}</dt>
          <dd>{percent(proof.across)}</dd>
        </div>
        <div>
          <dt>{say`Size along`}</dt>
          <dd>{percent(proof.along)}</dd>
        </div>
        {pages > 1 && (
          <div>
            <dt>{say`Page`}</dt>
            <dd>{say`${proof.page + 1} of ${pages}`}</dd>
          </div>
        )}
        <div>
          <dt>{say`Darkness`}</dt>
          <dd>{Math.round(proof.darknessKept * 100)} %</dd>
        </div>
      </dl>
      <Note>{say`Read ${dated(proof.at, 'd MMM HH:mm')}.`}</Note>
    </div>
  );
}
