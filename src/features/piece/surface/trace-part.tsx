'use client';
import { Button, LinearProgress } from '@mui/material';
import { useEffect, useRef, useState } from 'react';
import { PICTURE_ACCEPT, type Analysis } from '@/core/picture';
import type { BlankShape } from '@/core/shape';
import { useTaker } from '@/features/intake';
import { newId, storedFrom, useReport } from '@/features/shell';
import { Fields, FileButton, LengthField, NextRow, Note, Part, useUnits } from '@/ui';
import { tracedWords, sentences } from '@/words';
import { inspectPicture } from '@/workers/picture/client';
import type { Running } from '@/workers/running';
import { traceBlank } from '@/workers/trace/client';
import type { Traced } from '@/workers/trace/protocol';
import { PhotoOutline } from '../drawings/photo-outline';
import { useOpenPiece } from '../piece-context';
import { LiesBest } from './lies-best';
import { say } from '@/words/say';

const MOST_KNOTS = 12;

/** The real blank from one photo and one typed size: outline, size, colour, grain and knots, all to be looked at first. */
export function TracePart({ analysis }: { analysis: Analysis | null }) {
  const { piece, change } = useOpenPiece();
  const { face } = piece.surface;
  const { shown, setShown, typedMm, setLongMm, read, take } = useTracing();
  const busy = shown !== null && shown.traced === null;
  return (
    <Part
      title={say`From a photo of it`}
      folded={face ? say`its own face is shown` : say`outline, colour, grain, knots`}
    >
      <Note>
        {sentences(
          say`One photo and one size.`,
          say`Lay it on something of another colour, all of it in view, and photograph it from straight above, by even light.`,
          say`A board with four corners may be seen a little aslant.`,
        )}
      </Note>
      <Fields>
        <LengthField
          label={say`Its longest side, or diameter`}
          value={typedMm}
          minMm={10}
          onCommit={setLongMm}
          testId="trace-length"
        />
        <div>
          <FileButton
            size="small"
            variant={face ? 'outlined' : 'contained'}
            accept={PICTURE_ACCEPT}
            onFile={read}
            disabled={busy || typedMm === null}
            testId="trace-photo"
          >
            {face ? say`Another photo of it` : say`A photo of the object`}
          </FileButton>
        </div>
      </Fields>
      {busy && <LinearProgress aria-label={say`Tracing the object`} />}
      {shown?.photo && (
        <PhotoOutline
          photo={shown.photo}
          alt={say`The photo of the object`}
          outline={shown.traced?.edge ?? null}
          testId="traced-edge"
        />
      )}
      {shown?.traced && <TracedBlank traced={shown.traced} onTake={take} onLeave={() => setShown(null)} />}
      {face && !shown && (
        <>
          <LiesBest face={face} analysis={analysis} />
          <NextRow apart>
            <Button
              size="small"
              onClick={() => change('surface', { face: null }, say`no face of its own`)}
            >{say`Draw it as usual again`}</Button>
          </NextRow>
        </>
      )}
    </Part>
  );
}

const rounded = (mm: number): number => Math.round(mm * 10) / 10;
const share = (value: number): number => Math.min(1, Math.max(0, value));

function shapeOf({ form, outline, widthMm, heightMm }: Traced['board']): BlankShape {
  if (form === 'rectangle' || form === 'round' || form === 'oval') return { kind: form };
  return { kind: 'polygon', points: outline.map(({ x, y }) => ({ x: share(x / widthMm), y: share(y / heightMm) })) };
}

function TracedBlank({
  traced,
  onTake,
  onLeave,
}: {
  traced: Traced;
  onTake: (traced: Traced) => Promise<void>;
  onLeave: () => void;
}) {
  const units = useUnits();
  return (
    <div aria-live="polite" data-testid="traced">
      <Note>{tracedWords(traced, units)}</Note>
      <NextRow apart>
        <Button
          variant="contained"
          onClick={() => void onTake(traced)}
          data-testid="take-traced"
        >{say`Take it`}</Button>
        <Button onClick={onLeave}>{say`Leave it`}</Button>
      </NextRow>
    </div>
  );
}

/** Traces a photo of the blank, and takes what was found. */
function useTracing() {
  const { piece, change } = useOpenPiece();
  const { widthMm, heightMm } = piece.surface;
  const report = useReport();
  const [longMm, setLongMm] = useState<number | null>(null);
  const [shown, setShown] = useState<{ photo: ImageBitmap | null; traced: Traced | null } | null>(null);
  const running = useRef<Running<unknown> | null>(null);
  useEffect(() => () => running.current?.cancel(), []);
  const typedMm = longMm ?? (widthMm === null ? null : Math.max(widthMm, heightMm ?? 0));

  const read = (photo: File) => {
    if (typedMm === null) return;
    running.current?.cancel();
    setShown({ photo: null, traced: null });
    const job = traceBlank(photo, typedMm, (bitmap) => {
      if (running.current === job) setShown({ photo: bitmap, traced: null });
    });
    running.current = job;
    void job.done.then((result) => {
      if (running.current !== job || result === null) return;
      report(result);
      setShown((now) => (result.ok && now ? { ...now, traced: result.value } : null));
    });
  };
  useTaker(say`the object is traced in it`, typedMm === null ? null : read);

  const take = async ({ board, face: found, file }: Traced) => {
    const picture = await inspectPicture(file, (preview) => preview.close()).done;
    if (!picture || !report(picture) || !picture.ok) return;
    const stored = storedFrom(picture.value, { id: newId(), name: say`Face of the object.jpg`, bytes: file.size });
    change(
      'surface',
      {
        widthMm: rounded(board.widthMm),
        heightMm: rounded(board.heightMm),
        shape: shapeOf(board),
        bareColour: found.colour,
        grain: {
          ...piece.surface.grain,
          angleDeg: Math.round(found.grainDeg ?? 0),
          knots: Math.min(MOST_KNOTS, found.knots.length),
        },
        face: {
          pictureId: stored.id,
          turns: 0,
          grainDeg: found.grainDeg,
          knots: found.knots.map(({ xMm, yMm, radiusMm }) => ({
            x: share(xMm / board.widthMm),
            y: share(yMm / board.heightMm),
            radius: share(radiusMm / board.widthMm),
          })),
        },
      },
      say`the object from its photo`,
      [stored],
    );
    setShown(null);
  };
  return { shown, setShown, typedMm, setLongMm, read, take };
}
