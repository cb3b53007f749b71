'use client';
import { Button, LinearProgress } from '@mui/material';
import { useMemo, useState, type CSSProperties } from 'react';
import { homographyOf, project, type Homography, type Point } from '@/core/photo';
import type { CellMap, InspectArea } from '@/core/inspect';
import { useObjectUrl } from '@/features/shelf/use-picture';
import { useReport } from '@/features/shell';
import { useSheetJob } from '@/features/sheets';
import { FileButton, NextRow, Note, Part, Because, TextButton, useUnits } from '@/ui';
import { DECISION_WORDS, areaWords, inspectReason } from '@/words';
import { inspectPiece } from '@/workers/inspect/client';
import { landedOrder } from '@/workers/inspect/landed';
import type { Inspected } from '@/workers/inspect/protocol';
import { useOpenPiece } from '../piece-context';
import css from './inspect.module.css';

const ACCEPT = 'image/jpeg,image/png,image/webp';
const MOST_LISTED = 8;

/** Photos of the example's board, drawn with a camera, light and noise, so that all of it can be seen without one. */
const EXAMPLE = {
  piece: 'demo-departures-board',
  dry: '/demo/board-half-rubbed.jpg',
  wet: '/demo/board-half-rubbed-wet.jpg',
};

interface Read {
  dry: Blob;
  found: Inspected;
  /** The second photo, of the wetted piece, was read with it. */
  isWet: boolean;
}

/** Reads the dried piece from a photo: where paper is left, where toner is gone, and what to do about it. */
export function InspectPart() {
  const { piece, plan, picture, moved } = useOpenPiece();
  const job = useSheetJob();
  const report = useReport();
  const [read, setRead] = useState<Read | null>(null);
  const start = (dry: Blob, wet: Blob | null) => {
    const landed = landedOrder(piece, plan, moved);
    report(landed);
    if (!landed.ok || !picture) return;
    job.run(
      (onProgress) =>
        inspectPiece({ landed: landed.value, picture: picture.preview, dry, wet, corners: null }, onProgress),
      (found) => setRead({ dry, found, isWet: wet !== null }),
    );
  };
  const example = async (wet: boolean) => {
    const file = async (path: string) => (await fetch(path)).blob();
    start(await file(EXAMPLE.dry), wet ? await file(EXAMPLE.wet) : null);
  };
  const busy = job.progress !== null;
  return (
    <Part title="Read it from a photo">
      <Note>
        When it is dry, photograph it from above, all of it in view, by the light of a window and without flash. Fobbet
        finds the print in the photo, any way round, and says where paper is left and where toner is gone. The photo
        stays in this browser; what is read is shown until you leave this page.
      </Note>
      <NextRow>
        <FileButton
          size="small"
          variant={read ? 'outlined' : 'contained'}
          accept={ACCEPT}
          onFile={(file) => start(file, null)}
          disabled={busy}
          testId="inspect-dry"
        >
          {read ? 'Another photo, dry' : 'A photo of it, dry'}
        </FileButton>
        {read && (
          <FileButton
            size="small"
            variant={read.isWet ? 'outlined' : 'contained'}
            accept={ACCEPT}
            onFile={(file) => start(read.dry, file)}
            disabled={busy}
            testId="inspect-wet"
          >
            And one of it wetted
          </FileButton>
        )}
        {piece.id === EXAMPLE.piece && !busy && (
          <TextButton onClick={() => void example(read !== null)}>
            {read ? 'The example’s photo, wetted' : 'The example’s photo'}
          </TextButton>
        )}
        {busy && (
          <>
            <LinearProgress
              variant="determinate"
              value={(job.progress ?? 0) * 100}
              sx={{ flex: 1 }}
              aria-label="Reading the photo"
            />
            <Button size="small" onClick={job.cancel}>
              Stop
            </Button>
          </>
        )}
      </NextRow>
      {read && <Reading read={read} />}
    </Part>
  );
}

function Reading({ read: { dry, found, isWet } }: { read: Read }) {
  const units = useUnits();
  const { judgement } = found;
  const listed = judgement.areas.slice(0, MOST_LISTED);
  return (
    <div data-testid="inspect-reading" data-decision={judgement.decision}>
      <p className={css.decision}>{DECISION_WORDS[judgement.decision]}</p>
      <PhotoMap photo={dry} found={found} />
      <p className={css.key}>
        <span data-of="haze">paper left</span>
        <span data-of="loss">toner gone</span>
        <span data-of="unseen">can’t be judged: feel there</span>
      </p>
      <Because
        reasons={[
          ...judgement.reasons.map((reason) => inspectReason(reason, units)),
          ...(judgement.minutesLeft > 0
            ? [{ figure: `${judgement.minutesLeft} min`, text: 'of hands, rubbing and mending together' }]
            : []),
          {
            figure: `± ${units.length(Math.max(0.5, found.reading.register.rmsMm))}`,
            text: 'is how well the photo lies over the print as it was sent',
          },
        ]}
      />
      {!isWet && (
        <Note>Wet it with a sponge and take a second photo: haze that is gone then goes under the sealer.</Note>
      )}
      {listed.length > 0 && (
        <ol className={css.areas}>
          {listed.map((area) => (
            <li key={`${area.kind} ${area.box.xMm} ${area.box.yMm}`}>{areaWords(area, units)}</li>
          ))}
        </ol>
      )}
      {judgement.areas.length > listed.length && (
        <Note>{judgement.areas.length - listed.length} more, smaller or further down: see the photo.</Note>
      )}
    </div>
  );
}

/** The photo with what was read drawn on it: cells by what they are, areas with their numbers. */
function PhotoMap({ photo, found: { reading, judgement, photo: size } }: { photo: Blob; found: Inspected }) {
  const url = useObjectUrl(photo);
  const { cell, corners, seen, haze } = reading;
  const h = useMemo(() => boxToPhoto(cell, corners, size), [cell, corners, size]);
  if (!h || !url) return null;
  const quad = (xMm: number, yMm: number, widthMm: number, heightMm: number): string =>
    [
      project(h, xMm, yMm),
      project(h, xMm + widthMm, yMm),
      project(h, xMm + widthMm, yMm + heightMm),
      project(h, xMm, yMm + heightMm),
    ]
      .map(({ x, y }) => `${x.toFixed(1)},${y.toFixed(1)}`)
      .join(' ');
  const cellAt = (at: number) =>
    quad(
      (at % cell.columns) * cell.widthMm,
      Math.floor(at / cell.columns) * cell.heightMm,
      cell.widthMm,
      cell.heightMm,
    );
  const view = viewRound(corners.map(({ x, y }) => ({ x: x * size.width, y: y * size.height })));
  const unseen = seen.flatMap((share, at) => (share !== null && haze[at] === null ? [at] : []));
  return (
    <svg
      className={css.photo}
      viewBox={view.box}
      style={{ '--number': `${view.number}px` } as CSSProperties}
      role="img"
      aria-label={`Photo of the piece with ${judgement.areas.length} areas marked`}
    >
      <image href={url} width={size.width} height={size.height} />
      <polygon points={quad(0, 0, cell.columns * cell.widthMm, cell.rows * cell.heightMm)} data-of="outline" />
      {unseen.map((at) => (
        <polygon key={at} points={cellAt(at)} data-of="unseen" />
      ))}
      {judgement.areas.map((area, index) => (
        <Area key={`${area.kind} ${area.cells[0]}`} area={area} cellAt={cellAt} h={h} number={index + 1} />
      ))}
    </svg>
  );
}

function Area({
  area: { kind, cells, box },
  cellAt,
  h,
  number,
}: {
  area: InspectArea;
  cellAt: (at: number) => string;
  h: Homography;
  number: number;
}) {
  const middle = project(h, box.xMm + box.widthMm / 2, box.yMm + box.heightMm / 2);
  return (
    <g>
      {cells.map((at) => (
        <polygon key={at} points={cellAt(at)} data-of={kind} />
      ))}
      {number <= MOST_LISTED && (
        <text x={middle.x} y={middle.y}>
          {number}
        </text>
      )}
    </g>
  );
}

/** The photo about the print, with some of what is round it, and how large a number is there. */
function viewRound(corners: readonly Point[]): { box: string; number: number } {
  const [xs, ys] = [corners.map(({ x }) => x), corners.map(({ y }) => y)];
  const [left, top] = [Math.min(...xs), Math.min(...ys)];
  const [width, height] = [Math.max(...xs) - left, Math.max(...ys) - top];
  const round = Math.max(width, height) * ROUND_SHARE;
  return {
    box: [left - round, top - round, width + 2 * round, height + 2 * round].map((px) => px.toFixed(1)).join(' '),
    number: (width + 2 * round) * NUMBER_SHARE,
  };
}

const ROUND_SHARE = 0.12;
const NUMBER_SHARE = 0.04;

/** Millimetres of the print's box to the photo's pixels. */
function boxToPhoto(
  { widthMm, heightMm, columns, rows }: CellMap,
  corners: readonly Point[],
  size: Inspected['photo'],
): Homography | null {
  const [w, t] = [widthMm * columns, heightMm * rows];
  return homographyOf(
    [
      { x: 0, y: 0 },
      { x: w, y: 0 },
      { x: w, y: t },
      { x: 0, y: t },
    ],
    corners.map(({ x, y }) => ({ x: x * size.width, y: y * size.height })),
  );
}
