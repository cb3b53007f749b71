'use client';
import { PICTURE_ACCEPT } from '@/core/picture';
import { Button } from '@mui/material';
import { useMemo, useState } from 'react';
import {
  changeBetween,
  expectedBlank,
  isPlaced,
  isReadingOf,
  judgePiece,
  placedByEye,
  readKept,
  toldWet,
  type InspectArea,
} from '@/core/inspect';
import { useStoredPicture } from '@/features/shelf';
import { FileButton, JobProgress, NextRow, Note, Part, TextButton, dated, useUnits } from '@/ui';
import { changeInWords, sentences } from '@/words';
import { useTaker } from '@/features/intake';
import { useOpenPiece } from '../piece-context';
import { ComparePhotos } from './compare-photos';
import { CornersByHand } from './corners-by-hand';
import { PhotoOutline } from '../drawings/photo-outline';
import { ReadingView } from './reading-view';
import { useReading } from './use-reading';
import css from './inspect.module.css';
import { say } from '@/words/say';

/** Photos of the example's board, drawn with a camera, light and noise, so that all of it can be seen without one. */
const EXAMPLE = {
  piece: 'demo-departures-board',
  dry: [
    { path: '/demo/board-half-rubbed.jpg', name: say`The example’s photo, half rubbed` },
    { path: '/demo/board-rubbed-again.jpg', name: say`after one more pass` },
    { path: '/demo/board-rubbed-enough.jpg', name: say`after one too many` },
  ],
  wet: ['/demo/board-half-rubbed-wet.jpg', null, '/demo/board-rubbed-enough-wet.jpg'],
} as const;

/** Reads the dried piece from a photo: where paper is left, where toner is gone, and what to do about it. */
export function InspectPart({ folded }: { folded?: string | null }) {
  const { piece, change } = useOpenPiece();
  const job = useReading();
  useTaker(say`it is read as a photo of this piece, dry`, job.readDry);
  const [setting, setSetting] = useState(false);
  const { readings } = piece.rub;
  const last = readings.at(-1) ?? null;
  const busy = job.progress !== null;
  const dryPhoto = useStoredPicture(last?.dryPhotoId ?? null);
  const isAsked = last !== null && !isPlaced(last) && job.unfound === null;
  const byHand = job.unfound ?? (setting || isAsked ? (dryPhoto?.file ?? null) : null);
  const earlier = readings.slice(0, -1);
  return (
    <Part title={say`Read it from a photo`} folded={folded ?? null}>
      {!last && (
        <Note>
          {sentences(
            say`When it is dry: all of it, from above, in window light, no flash.`,
            say`Fobbet says where paper is left and where toner is gone. The photo stays in this browser.`,
          )}
        </Note>
      )}
      <NextRow>
        <FileButton
          size="small"
          variant={last ? 'outlined' : 'contained'}
          accept={PICTURE_ACCEPT}
          onFile={job.readDry}
          disabled={busy}
          testId="inspect-dry"
        >
          {last ? say`Another photo, dry` : say`A photo of it, dry`}
        </FileButton>
        {last && !isAsked && (
          <FileButton
            size="small"
            variant={last.wetPhotoId ? 'outlined' : 'contained'}
            accept={PICTURE_ACCEPT}
            onFile={job.readWet}
            disabled={busy}
            testId="inspect-wet"
          >{say`And one of it wetted`}</FileButton>
        )}
        {busy && (
          <>
            <JobProgress progress={job.progress ?? 0} label={say`Reading the photo`} />
            <Button size="small" onClick={job.cancel}>{say`Stop`}</Button>
          </>
        )}
      </NextRow>
      {piece.id === EXAMPLE.piece && !busy && (
        <ExamplePhotos count={readings.length} onDry={job.readDry} onWet={job.readWet} />
      )}
      {job.underWay && (
        <PhotoOutline
          photo={job.underWay.photo}
          alt={say`The photo that is being read`}
          outline={job.underWay.outline}
          testId="first-outline"
        />
      )}
      {byHand && (
        <CornersByHand
          photo={byHand}
          corners={job.unfound ? null : (last?.corners ?? null)}
          busy={busy}
          onRead={(corners) => {
            setSetting(false);
            job.readAgain(corners);
          }}
          onRight={
            isAsked
              ? () => change('rub', { readings: [...earlier, placedByEye(last)] }, say`where the print lies`)
              : null
          }
          onClose={() => {
            setSetting(false);
            job.dismiss();
            if (isAsked) change('rub', { readings: earlier }, say`reading taken out`);
          }}
          closing={isAsked ? say`Take this reading out` : say`Leave it`}
        />
      )}
      {isAsked && last.dryPhotoId === null && (
        <Note>{say`The last photo is gone before anybody looked where the print lies in it: take another one.`}</Note>
      )}
      {last && !isAsked && !byHand && !busy && <LastReading onSetCorners={() => setSetting(true)} />}
    </Part>
  );
}

/** Photos of the example, in the order they would be taken. */
function ExamplePhotos({
  count,
  onDry,
  onWet,
}: {
  /** Of readings that there are. */
  count: number;
  onDry: (photo: Blob) => void;
  onWet: (photo: Blob) => void;
}) {
  const take = async (path: string, then: (photo: Blob) => void) => then(await (await fetch(path)).blob());
  const next = EXAMPLE.dry[count];
  const wet = count > 0 ? EXAMPLE.wet[count - 1] : null;
  if (!next && !wet) return null;
  return (
    <NextRow>
      {next && (
        <TextButton onClick={() => void take(next.path, onDry)} testId="example-dry">
          {count === 0 ? next.name : say`The example’s photo ${next.name}`}
        </TextButton>
      )}
      {wet && (
        <TextButton
          onClick={() => void take(wet, onWet)}
          testId="example-wet"
        >{say`The example’s photo, wetted`}</TextButton>
      )}
    </NextRow>
  );
}

/** The last reading, what changed since the one before it, and earlier ones. */
function LastReading({ onSetCorners }: { onSetCorners: () => void }) {
  const { piece, plan, change } = useOpenPiece();
  const units = useUnits();
  const { readings } = piece.rub;
  const [last, before] = [readings.at(-1), readings.at(-2)];
  const found = useMemo(() => last && { kept: last, reading: readKept(last) }, [last]);
  const judgement = useMemo(() => found && judgePiece(found.reading), [found]);
  const changed = useMemo(
    () => (found && before ? changeBetween(readKept(before), found.reading) : null),
    [found, before],
  );
  if (!found || !judgement || !last) return null;
  const told = ({ cells }: InspectArea, clears: boolean) =>
    change('rub', { readings: [...readings.slice(0, -1), toldWet(last, cells, clears)] }, say`the wet test`);
  const blank = expectedBlank(plan);
  const isStale = blank.ok && !isReadingOf(last, blank.value.box);
  return (
    <>
      {isStale && <Note>{say`The print has another size since this photo was read: read it again.`}</Note>}
      <ReadingView
        kept={found.kept}
        reading={found.reading}
        judgement={judgement}
        stop={changed?.stop ?? false}
        onTold={told}
      />
      {before && changed && (
        <>
          <p className={css.changed} data-stop={changed.stop} data-testid="since-before">
            {changeInWords(changed, units)}
          </p>
          <ComparePhotos before={before} after={last} />
        </>
      )}
      <NextRow>
        <TextButton onClick={onSetCorners}>{say`The outline is not right`}</TextButton>
        <TextButton
          onClick={() => change('rub', { readings: readings.slice(0, -1) }, say`reading taken out`)}
          testId="reading-out"
        >{say`Take this reading out`}</TextButton>
      </NextRow>
      {readings.length > 1 && (
        <Note>{say`Read before: ${readings
          .slice(0, -1)
          .map(({ at, pass }) => say`${dated(at, 'EEE HH:mm')}, after pass ${pass}`)
          .join('; ')}.`}</Note>
      )}
    </>
  );
}
