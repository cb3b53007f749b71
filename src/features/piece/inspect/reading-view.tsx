'use client';
import { useMemo, type CSSProperties } from 'react';
import { project, type Homography, type Point } from '@/core/photo';
import type { InspectArea, Judgement, PieceReading } from '@/core/inspect';
import type { KeptReading } from '@/core/inspect';
import { useObjectUrl, useStoredPicture } from '@/features/shelf';
import { Because, Note, TextButton, useUnits } from '@/ui';
import { DECISION_WORDS, areaWords, inspectReason, sentences } from '@/words';
import { boxToPhoto } from './box-to-photo';
import css from './inspect.module.css';
import { say } from '@/words/say';

const MOST_LISTED = 8;

/** What a reading says: the decision, the photo with its areas, the reasons, and the areas in working order. */
export function ReadingView({
  kept,
  reading,
  judgement,
  stop,
  onTold,
}: {
  kept: KeptReading;
  reading: PieceReading;
  judgement: Judgement;
  /** Since the reading before, more toner went than paper. */
  stop: boolean;
  /** The wet test, told of an area by hand. */
  onTold: (area: InspectArea, clears: boolean) => void;
}) {
  const units = useUnits();
  const listed = judgement.areas.slice(0, MOST_LISTED);
  return (
    <div data-testid="inspect-reading" data-decision={stop ? 'stop' : judgement.decision}>
      <p className={css.decision}>{DECISION_WORDS[stop ? 'stop' : judgement.decision]}</p>
      <PhotoMap kept={kept} reading={reading} judgement={judgement} />
      <p className={css.key}>
        <span data-of="haze">{say`paper left`}</span>
        <span data-of="loss">{say`toner gone`}</span>
        <span data-of="unseen">{say`can’t be judged: feel there`}</span>
      </p>
      <Because
        whole
        reasons={[
          ...judgement.reasons.map((reason) => inspectReason(reason, units)),
          ...(judgement.minutesLeft > 0
            ? [{ figure: say`${judgement.minutesLeft} min`, text: say`of hands, rubbing and mending together` }]
            : []),
          {
            figure: `± ${units.length(Math.max(0.5, reading.register.rmsMm))}`,
            text: say`is how well the photo lies over the print as it was sent`,
          },
        ]}
      />
      {kept.wetPhotoId === null && (
        <Note>
          {sentences(
            say`Wet it with a sponge and take a second photo: haze that is gone then goes under the sealer.`,
            say`Or say it here, area by area.`,
          )}
        </Note>
      )}
      {listed.length > 0 && (
        <ol className={css.areas}>
          {listed.map((area) => (
            <li key={`${area.kind} ${area.cells[0]}`}>
              {areaWords(area, units)}
              {area.kind === 'haze' && kept.wetPhotoId === null && (
                <span className={css.wet}>
                  <TextButton onClick={() => onTold(area, true)}>{say`Gone when wet`}</TextButton>
                  <TextButton onClick={() => onTold(area, false)}>{say`Stays`}</TextButton>
                </span>
              )}
            </li>
          ))}
        </ol>
      )}
      {judgement.areas.length > listed.length && (
        <Note>{say`${judgement.areas.length - listed.length} more, smaller or further down: see the photo.`}</Note>
      )}
    </div>
  );
}

/** The photo with what was read drawn on it: cells by what they are, areas with their numbers. */
function PhotoMap({ kept, reading, judgement }: { kept: KeptReading; reading: PieceReading; judgement: Judgement }) {
  const url = useObjectUrl(useStoredPicture(kept.dryPhotoId)?.file ?? null);
  const { cell, seen, haze } = reading;
  const h = useMemo(() => boxToPhoto(kept), [kept]);
  if (!h) return null;
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
  const view = viewRound(kept.corners.map(({ x, y }) => ({ x: x * kept.photo.width, y: y * kept.photo.height })));
  const unseen = haze.flatMap((value, at) => (value === null && seen[at] !== null ? [at] : []));
  return (
    <svg
      className={css.photo}
      viewBox={view.box}
      style={{ '--number': `${view.number}px` } as CSSProperties}
      role="img"
      aria-label={say`Photo of the piece with ${judgement.areas.length} areas marked`}
    >
      {url && <image href={url} width={kept.photo.width} height={kept.photo.height} />}
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
